import { expect } from 'chai';
import type { Page } from 'playwright-core';
import {
  DESK,
  expectAccessible,
  moveOn,
  open,
  PHONE,
  recorded,
  reload,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';
import { keyboard, pointer } from '../support/hand.ts';

const trayOf = async (page: Page, crop: string, more = ''): Promise<string> =>
  (await page
    .locator('article.stop')
    .filter({ hasText: more })
    .locator('h3 a', { hasText: crop })
    .first()
    .getAttribute('href'))!;

describe('a tray', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('shifts its window with a look, and back when that is taken back', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    const tray = await trayOf(page, 'Pea shoots', 'rooting');
    const stop = page.locator(`article.stop:has(a[href="${tray}"])`);
    const lifting = stop.getByRole('button', { name: 'Pushing the lid up' });
    // Once it is time to look at all, a lid that lifts is early.
    for (let rounds = 0; rounds < 4 && (await lifting.count()) === 0; rounds += 1) {
      const clock = await page.locator('section.time strong').innerText();
      await moveOn(page, 'Next round');
      await page.locator('section.time strong', { hasText: clock }).waitFor({ state: 'detached' });
    }
    const before = await stop.locator('p.window').innerText();
    await lifting.click();
    await stop.getByRole('button', { name: /Take the weight off/ }).waitFor();
    expect(await stop.locator('p.window').innerText()).not.to.equal(before);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await stop.getByRole('button', { name: /Take the weight off/ }).waitFor({ state: 'detached' });
    expect(await stop.locator('p.window').innerText()).to.equal(before);
    // Seen again, and said in one more touch that it was not so on the round before.
    await lifting.click();
    const since = stop.getByRole('group', { name: /^“Pushing the lid up” since when/ });
    await since.getByRole('button', { name: 'since the last round' }).click();
    await since.waitFor({ state: 'detached' });
    await open(page, stage, tray);
    await page.locator('.log li', { hasText: 'Checked “Pushing the lid up”: not yet' }).first().waitFor();
  });

  for (const [name, device, handOf] of [
    ['by thumb at 390 px', PHONE, () => pointer],
    ['by keyboard alone', DESK, keyboard]
  ] as const)
    it(`is left covered by choice, and asks again the day after, ${name}`, async () => {
      const page = await stage.page(device);
      const hand = handOf(page);
      await open(page, stage, '/round');
      // Whatever stands in a dark dome and is asked for even stems.
      const stop = page
        .locator('article.stop')
        .filter({ has: page.getByRole('button', { name: 'Stems even' }) })
        .first();
      const title = await stop.locator('h3').getAttribute('id');
      const mine = page.locator(`article:has(#${title})`);
      await hand.press(mine.getByRole('button', { name: /^Keep it covered longer/ }));
      await mine.getByRole('button', { name: 'Stems even' }).waitFor({ state: 'detached' });
      expect(await mine.getByRole('button', { name: /^Dome off/ }).count()).to.equal(0);
      await hand.press(page.getByRole('button', { name: 'Undo', exact: true }));
      await mine.getByRole('button', { name: 'Stems even' }).waitFor();
    });

  it('is offered a cue again that was seen, a day later, and can be told that it was not so', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    const stop = page.locator('article.stop').filter({ hasText: 'Open now' }).first();
    const title = await stop.locator('h3').getAttribute('id');
    const mine = page.locator(`article:has(#${title})`);
    const again = mine.getByRole('group', { name: /^Check again/ });
    await mine.getByRole('button', { name: /^More/ }).click();
    for (let rounds = 0; rounds < 4 && (await again.count()) === 0; rounds += 1) {
      const clock = await page.locator('section.time strong').innerText();
      await moveOn(page, 'Next round');
      await page.locator('section.time strong', { hasText: clock }).waitFor({ state: 'detached' });
    }
    await again.getByRole('button', { name: 'Not yet after all' }).click();
    await again.waitFor({ state: 'detached' });
    await mine.getByText(/Two checks disagree/).waitFor();
    await expectAccessible(page);
  });

  it('shows what happened against what was expected, and takes notes and moves', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    await open(page, stage, await trayOf(page, 'Broccoli'));
    await page.getByText('Expected:').waitFor();
    await page.getByText('This tray:').waitFor();
    await page
      .getByRole('img', { name: /Broccoli as it should look now: stems of about/ })
      .or(page.locator('svg.drawing'))
      .first()
      .waitFor();
    await page.getByLabel('What you see').fill('Leaning to the glass');
    await page.getByRole('button', { name: 'Save note' }).click();
    await page.locator('.log li', { hasText: 'Leaning to the glass' }).first().waitFor();
    const opens = () => page.locator('.stop p.window').innerText();
    const before = await opens();
    await page.getByLabel('Where it is').selectOption({ label: 'Stairwell sill' });
    await page.locator('.log li', { hasText: 'Moved to Stairwell sill' }).first().waitFor();
    expect(await opens()).not.to.equal(before);
    await page.locator('.log li', { hasText: 'Moved to Stairwell sill' }).getByRole('button').click();
    await page.getByText('undone').first().waitFor();
    expect(await opens()).to.equal(before);
  });

  it('is ticked by two people at once and done once', async () => {
    const [one, two] = [await stage.page(), await stage.page()];
    await Promise.all([one, two].map((page) => open(page, stage, '/round')));
    const tray = (await one.locator('article.stop:has(button.tick) h3 a').first().getAttribute('href'))!;
    const tick = (page: Page) => page.locator(`article.stop:has(a[href="${tray}"]) button.tick`).first();
    const title = await tick(one).locator('strong').innerText();
    expect(await tick(two).locator('strong').innerText()).to.equal(title);
    const saved = [one, two].map((page) => page.waitForResponse('**/api/events'));
    await Promise.all([tick(one).click(), tick(two).click(), ...saved]);
    await Promise.all(
      [one, two].map((page) =>
        tick(page).locator('strong', { hasText: title }).waitFor({ state: 'detached' })
      )
    );
    await open(one, stage, tray);
    await one.getByText('done before').waitFor();
  });

  it('is ticked with one request, which brings back what the page then shows', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    const stop = page.locator('article.stop:has(button.tick:not(:has-text("ready to cut")))').first();
    const mine = page.locator('article.stop', {
      has: page.locator(`a[href="${await stop.locator('h3 a').first().getAttribute('href')}"]`)
    });
    const tick = mine.locator('button.tick:not(:has-text("ready to cut"))').first();
    const title = await tick.locator('strong').innerText();
    const asked: string[] = [];
    page.on('request', (request) => asked.push(`${request.method()} ${new URL(request.url()).pathname}`));
    await tick.click();
    await mine.locator('button.tick strong', { hasText: title }).waitFor({ state: 'detached' });
    await page.waitForLoadState('networkidle');
    expect(asked).to.deep.equal(['POST /api/events']);
    // What was shown from the answer is what a page loaded anew shows.
    const shown = () => page.locator('article.stop').allInnerTexts();
    const before = await shown();
    await reload(page);
    expect(await shown()).to.deep.equal(before);
  });

  it('that was never begun is put off or let go, and asks nothing else meanwhile', async () => {
    const page = await stage.page();
    await open(page, stage, '/sow?crop=kale');
    await page.getByRole('button', { name: /^(Plan this sowing)$/ }).click();
    await page.waitForURL('**/round');
    const asks = page.getByRole('group', { name: 'When to start Kale' });
    for (let days = 0; days < 4 && (await asks.count()) === 0; days += 1) {
      const clock = await page.locator('section.time strong').innerText();
      await moveOn(page, '+1 day');
      await page.locator('section.time strong', { hasText: clock }).waitFor({ state: 'detached' });
    }
    await asks.first().getByRole('button', { name: 'tomorrow' }).click();
    await asks.waitFor({ state: 'detached' });
    await page.locator('.done li, li', { hasText: 'Put off to' }).first().waitFor();
    // Let go is ended: it stands on no list and in the notebook with its reason.
    await moveOn(page, '+1 day');
    await moveOn(page, '+1 day');
    await recorded(page, () => asks.first().getByRole('button', { name: 'Skip it' }).click());
    await asks.waitFor({ state: 'detached' });
    await open(page, stage, '/notebook');
    await page
      .getByRole('row', { name: /Kale.*Never begun/ })
      .first()
      .waitFor();
  });

  it('of two halves is weighed as the one container it is', async () => {
    const page = await stage.page();
    await open(page, stage, '/sow?crop=radish');
    await page.getByRole('radio', { name: 'Two halves' }).check();
    await page.getByLabel('Crop 2').selectOption('kale');
    await page.getByRole('button', { name: /^(Plan this sowing)$/ }).click();
    await page.waitForURL('**/round');
    const stop = page.locator('article.stop', { hasText: 'Radish and Kale' });
    for (const crop of ['Radish', 'Kale']) {
      const sow = stop.locator('button.tick', { hasText: `${crop}: Sow` });
      await sow.click();
      await sow.waitFor({ state: 'detached' });
    }
    await stop.getByRole('button', { name: /^More/ }).click();
    const links = stop.getByRole('link', { name: /A closer look/ });
    const looks = await links.evaluateAll((all) => all.map((one) => one.getAttribute('href')!));
    expect(looks).to.have.length(2);
    await open(page, stage, looks[0]!);
    await page.getByText('Of the whole container, Radish and Kale together').waitFor();
    await page.getByLabel(/On the scale/).fill('900');
    await page.getByRole('button', { name: 'As it is now' }).click();
    await page.getByText('Radish and Kale: weighed 900 g').waitFor();
    let total = 0;
    for (const look of looks) {
      await open(page, stage, look.replace('/look', ''));
      const line = page.locator('.log li', { hasText: /[Ww]eighed/ }).first();
      total += Number(/(\d+) g/.exec(await line.innerText())![1]);
    }
    expect(total).to.be.closeTo(900, 2);
  });

  it('asks about a weight that can hardly be, and keeps what was typed', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    const tray = await trayOf(page, 'Radish');
    // Days went by on this clock, and nobody watered: whether it stands is asked first.
    await open(page, stage, tray);
    const stands = page.getByRole('button', { name: 'Standing, and damp' });
    if ((await stands.count()) > 0) {
      await stands.click();
      await stands.waitFor({ state: 'detached' });
    }
    await page.getByRole('link', { name: 'Cut and weigh' }).waitFor();
    await open(page, stage, `${tray}/harvest`);
    await page.getByRole('button', { name: 'Record the cut and end the tray' }).click();
    await page.getByText('enter what the scale shows').waitFor();
    await page.getByRole('button', { name: 'A quarter' }).click();
    await page.getByLabel('Full bowl on the scale (g)').fill('9000');
    await page.getByRole('button', { name: 'Record this part' }).click();
    await page.getByText('267 times the most that this area is known to give').waitFor();
    await page.getByRole('button', { name: 'Change' }).click();
    expect(await page.getByLabel('Full bowl on the scale (g)').inputValue()).to.equal('9000');
    await page.getByLabel('Full bowl on the scale (g)').fill('1 oz');
    await page.getByText('28.3 g').first().waitFor();
    await page.getByRole('button', { name: 'Record this part' }).click();
    await page.waitForURL('**/pantry');
    await open(page, stage, tray);
    await page.locator('.log li', { hasText: 'Cut 28.3 g' }).first().waitFor();
    await page.getByRole('link', { name: 'Cut and weigh' }).click();
    await page.getByText('75% is still growing').waitFor();
  });

  it('is given up with a reason, and that can be taken back', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    const tray = await trayOf(page, 'Mustard');
    await open(page, stage, tray);
    await page.getByText('Discard this tray').click();
    await page.getByText('If in doubt, throw it out').first().waitFor();
    await recorded(page, () => page.getByRole('button', { name: 'Discard it' }).click());
    await page.getByText(/Discarded on day \d+\. Reason: Mould/).waitFor();
    await open(page, stage, '/notebook');
    await page
      .getByRole('row', { name: /Mustard.*Mould/ })
      .first()
      .waitFor();
    await open(page, stage, tray);
    await page.locator('.log li', { hasText: 'Discarded' }).getByRole('button').click();
    await page.getByText('Discard this tray').waitFor();
  });
});

describe('the library', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('is searched, read, sown from and taken along as CSV', async () => {
    const page = await stage.page();
    await open(page, stage, '/crops');
    // The library's 45, and the one the demo's household added.
    await shows(page.locator('.crops li'), 46);
    await page.getByRole('searchbox').fill('brassica oleracea');
    await page.getByText('5 crops').waitFor();
    await page.getByRole('searchbox').fill('zzz');
    await page.getByText('No crop has this name').waitFor();
    await page.getByRole('searchbox').fill('buckw');
    await page.getByRole('link', { name: /Buckwheat/ }).click();
    await page.getByText('Eat it in small amounts').waitFor();
    await page.getByText('9 h, 6 to 12 h').waitFor();
    await page.getByRole('link', { name: 'Sow buckwheat' }).click();
    await page.waitForURL('**/sow?crop=buckwheat');
    await page.getByRole('heading', { name: 'Container' }).waitFor();
    await page.getByText('Buckwheat').first().waitFor();
    const csv = await page.request.get(`${stage.url}crops.csv`);
    expect((await csv.text()).trim().split('\n')).to.have.length(1 + 46);
    expect(csv.headers()['content-type']).to.include('text/csv');
  });
});
