import { expect } from 'chai';
import type { Page } from 'playwright-core';
import {
  expectAccessible,
  expectFitsThumb,
  moveOn,
  open,
  PHONE,
  recorded,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';

const trayOf = async (page: Page, stage: Stage, crop: string): Promise<string> => {
  await open(page, stage, '/round');
  return (await page.locator('article.stop h3 a', { hasText: crop }).first().getAttribute('href'))!;
};
const answers = (page: Page) => page.getByLabel('What it most likely is', { exact: true });

describe('a closer look', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('answers with cause, what to do, and whether it is lost, and is taken back', async () => {
    const page = await stage.page(PHONE);
    const tray = await trayOf(page, stage, 'Broccoli');
    await open(page, stage, tray);
    await page.getByRole('link', { name: /A closer look/ }).tap();
    await page.getByRole('button', { name: 'Stems fallen over, thin and brown at the base' }).tap();
    const card = answers(page).getByRole('article');
    await card.getByText('Damping off').waitFor();
    for (const part of ['Now', 'Next time', 'Lost?']) await card.getByText(part, { exact: true }).waitFor();
    await page.getByRole('button', { name: 'Threads across seed or stems' }).tap();
    await answers(page).getByText('If in doubt, throw it out').waitFor();
    await expectFitsThumb(page);
    await expectAccessible(page);
    await card.filter({ hasText: 'Damping off' }).getByRole('button', { name: 'Undo this check' }).tap();
    await card.filter({ hasText: 'Damping off' }).waitFor({ state: 'detached' });
  });

  it('waits on a phone behind one touch, where a stop asks for nothing of it', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/round');
    const stop = page
      .locator('article.stop', { has: page.getByRole('button', { name: /^(More|Less) of/ }) })
      // A tray that must be touched first shows its chips at once.
      .filter({ hasNotText: 'Feel the medium:' })
      .first();
    const more = stop.getByRole('button', { name: /^(More|Less) of/ });
    const closer = stop.getByRole('link', { name: /A closer look/ });
    await closer.waitFor({ state: 'hidden' });
    await more.tap();
    await closer.waitFor();
    await expectFitsThumb(page);
    await more.tap();
    await closer.waitFor({ state: 'hidden' });
  });

  it('is entered late for yesterday, and two looks that disagree are both kept until one is undone', async () => {
    const page = await stage.page();
    const tray = await trayOf(page, stage, 'Rocket');
    await open(page, stage, `${tray}/look`);
    const cue = page.getByRole('group', { name: 'Seed leaves open' });
    await page
      .getByRole('button', { name: /^yesterday/ })
      .first()
      .click();
    await recorded(page, () => cue.getByRole('button', { name: 'Seed leaves open', exact: true }).click());
    await page.getByRole('button', { name: 'Now', exact: true }).click();
    await recorded(page, () => cue.getByRole('button', { name: /Not yet/ }).click());
    await open(page, stage, tray);
    await page.getByText(/Two checks disagree: “Seed leaves open” yesterday/).waitFor();
    await page.locator('.log li', { hasText: 'not yet' }).first().waitFor();
    await page.getByRole('button', { name: 'Undo the first' }).click();
    await page.getByText(/Two checks disagree/).waitFor({ state: 'detached' });
    await page.locator('.log li', { hasText: 'undone' }).first().waitFor();
  });

  it('shows how its window narrowed, its clock and its water, with the figures behind each', async () => {
    const page = await stage.page();
    await open(page, stage, await trayOf(page, stage, 'Sunflower'));
    await shows(page.locator('canvas'), 0);
    await page.getByText('How this was calculated').click();
    await page.locator('canvas').nth(2).waitFor();
    await page.getByText(/The 80% range was [\d.]+ days wide/).waitFor();
    for (const title of ['When it opens, check by check', 'Growth clock', 'Water in the tray']) {
      const figure = page.getByRole('figure', { name: title });
      await figure.locator('summary').click();
      expect(await figure.getByRole('row').count(), title).to.be.above(1);
    }
    await expectAccessible(page);
  });

  it('aims for a day: what brings it there, and the nearest day where nothing does', async () => {
    const page = await stage.page();
    await open(page, stage, await trayOf(page, stage, 'Mustard'));
    await page.getByText('Choose a harvest day').click();
    await page.getByText('Leave it where it is').waitFor();
    await page.getByLabel('I want to cut it on').fill('2027-01-13');
    await page.getByText('Brote can’t be confident about that day.').waitFor();
    await page.getByRole('button', { name: 'Choose that day' }).click();
    await page.getByText('Brote can’t be confident about that day.').waitFor({ state: 'detached' });
    const move = page
      .locator('details', { hasText: 'Choose a harvest day' })
      .getByRole('button', { name: /^Move to/ })
      .first();
    const to = (await move.innerText()).replace(/^Move to /, '').replace(/\s+/g, ' ');
    await move.click();
    await page.locator('.log li', { hasText: 'Moved to' }).first().waitFor();
    expect(to).to.include('Move');
    await page.getByLabel('I want to cut it on').fill('2026-01-01');
    await page.getByText('This day has passed').waitFor();
    await expectAccessible(page);
  });

  it('weighs a tray, which cancels its watering', async () => {
    const page = await stage.page();
    const tray = await trayOf(page, stage, 'Broccoli');
    const watering = page.locator('.stop button.tick strong', { hasText: /^Water \d/ });
    await open(page, stage, tray);
    // On until the round asks for water.
    for (let rounds = 0; rounds < 4 && (await watering.count()) === 0; rounds += 1) {
      const clock = await page.locator('section.time strong').innerText();
      await moveOn(page, 'Next round');
      await page.locator('section.time strong', { hasText: clock }).waitFor({ state: 'detached' });
    }
    await watering.waitFor();
    await page.getByText(/^\d+ earlier entr/).click();
    const marked = await page.locator('.log li', { hasText: /Weighed \d+ g, well watered/ }).innerText();
    const full = Number(/Weighed (\d+) g/.exec(marked)![1]);
    await page.getByRole('link', { name: /A closer look/ }).click();
    await page.getByLabel(/On the scale/).fill('nothing');
    await page.getByRole('button', { name: 'As it is now' }).click();
    await page.getByText(/Write a number with its unit/).waitFor();
    await page.getByLabel(/On the scale/).fill('90 kg');
    await page.getByRole('button', { name: 'As it is now' }).click();
    await page.getByText('Over 50 kg: check the weight.').first().waitFor();
    await page.getByLabel(/On the scale/).fill('9 kg');
    await page.getByRole('button', { name: 'As it is now' }).click();
    await page
      .getByText(/times what this tray can weigh/)
      .first()
      .waitFor();
    await page.getByLabel(/On the scale/).fill(String(full + 60));
    await page.getByRole('button', { name: 'As it is now' }).click();
    await page.getByText(/Broccoli: weighed/).waitFor();
    await page.getByRole('link', { name: '← Broccoli' }).click();
    await page
      .locator('.log li', { hasText: `Weighed ${full + 60} g` })
      .first()
      .waitFor();
    await shows(watering, 0);
    await page
      .locator('.log li', { hasText: `Weighed ${full + 60} g` })
      .first()
      .getByRole('button')
      .click();
    await watering.waitFor();
  });
});
