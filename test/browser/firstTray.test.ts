import { expect } from 'chai';
import type { Page } from 'playwright-core';
import {
  DESK,
  expectAccessible,
  expectFitsThumb,
  open,
  PHONE,
  setStage,
  type Stage
} from '../support/browser.ts';

/** Moves the demo's clock and waits for the page to show it. */
async function move(page: Page, button: string): Promise<void> {
  const clock = page.getByLabel('The demo’s clock').locator('strong');
  const before = await clock.innerText();
  await page.getByRole('button', { name: button, exact: true }).click();
  await page.waitForFunction(
    (was) => document.querySelector('section.time strong')?.textContent !== was,
    before
  );
}

describe('the first tray, from clone to plate', function () {
  this.timeout(240_000);
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('can be sown, ticked, taken back and cut by keyboard alone', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    /** Tabs until the focused element's words match, as a person does who looks where the frame is. */
    const tabTo = async (words: RegExp) => {
      for (let step = 0; step < 150; step += 1) {
        await page.keyboard.press('Tab');
        const label = await page.evaluate(() => {
          const element = document.activeElement as HTMLElement | null;
          const labels =
            element instanceof HTMLInputElement || element instanceof HTMLSelectElement
              ? [...(element.labels ?? [])].map((one) => one.innerText)
              : [];
          return [element?.innerText, ...labels].join(' ');
        });
        if (words.test(label)) return;
      }
      throw new Error(`No tab stop says ${words}`);
    };
    await tabTo(/^New sowing/);
    await page.keyboard.press('Enter');
    await page.waitForURL('**/sow');
    await tabTo(/Crop$/);
    await page.keyboard.type('Radish');
    await tabTo(/Put it on the list/);
    await page.keyboard.press('Enter');
    await page.waitForURL('**/round');
    await tabTo(/^Sow 9.92 g|Sow 9.9/);
    await page.keyboard.press('Enter');
    await page.getByText('Radish: Sown', { exact: true }).waitFor();
    await tabTo(/^Undo$/);
    await page.keyboard.press('Enter');
    await page.getByText('Radish: Sown', { exact: true }).waitFor({ state: 'detached' });
    expect(await page.getByRole('button', { name: /^Sow 9.9/ }).count()).to.equal(1);
    await tabTo(/Ready to cut/);
    await page.keyboard.press('Enter');
    await page.waitForURL('**/harvest');
    await tabTo(/Full bowl/);
    await page.keyboard.type('98');
    await page.keyboard.press('Enter');
    await page.getByText('Cut in all').waitFor();
  });

  it('has nothing serious for axe, in light and dark, at a desk and on a phone', async () => {
    for (const device of [DESK, { ...PHONE, colorScheme: 'dark' as const }]) {
      const page = await stage.page(device);
      await open(page, stage, '/round');
      const tray = await page.locator('article.stop h3 a').first().getAttribute('href');
      for (const path of [
        '/round',
        '/sow?crop=pea',
        tray!,
        `${tray}/harvest`,
        '/crops',
        '/crops/radish',
        '/notebook',
        '/household'
      ]) {
        await open(page, stage, path);
        await expectAccessible(page);
        if (device !== DESK) await expectFitsThumb(page);
      }
    }
  });

  for (const [name, device] of [
    ['by mouse at a desk', DESK],
    ['by thumb at 390 px', PHONE]
  ] as const)
    it(`goes from sowing to the cut ${name}`, async () => {
      const page = await stage.page(device);
      await open(page, stage, '/round');
      await page.getByRole('link', { name: 'New sowing' }).click();
      await page.getByLabel('Crop', { exact: true }).selectOption('cress-garden');
      await page.getByLabel('Length (cm)').fill('20');
      await page.getByLabel('Width (cm)').fill('10');
      const seed = page.getByLabel('What it comes to').getByText('2.16 g', { exact: true });
      await seed.waitFor();
      await page.getByRole('button', { name: 'Put it on the list' }).click();
      await page.waitForURL('**/round');

      const stop = page.locator('article.stop').filter({ hasText: /Sow 2.16 g/ });
      const title = await stop.locator('h3').getAttribute('id');
      const mine = page.locator(`article:has(#${title})`);
      await mine.getByRole('button', { name: /Sow 2.16 g/ }).click();
      await mine.getByText('Day 0 · rooting, covered').waitFor();

      // Does each round what the round asks, and looks where it asks to look.
      const chips: string[] = [];
      for (let round = 0; round < 40; round += 1) {
        await move(page, 'Next round');
        for (let tasks = await mine.locator('button.tick').count(); tasks > 0; tasks -= 1) {
          const label = await mine.locator('button.tick strong').first().innerText();
          await mine.locator('button.tick').first().click();
          await mine.locator('button.tick strong', { hasText: label }).waitFor({ state: 'detached' });
          chips.push(label);
        }
        const look = mine.locator('.look').first().locator('button').first();
        const asks = (await mine.getByRole('button', { name: 'Not yet' }).count()) > 0;
        if (asks && round % 2 === 1) {
          const words = await look.innerText();
          await look.click();
          await mine.getByText(`Looked: ${words.toLowerCase()}`).first().waitFor();
          round -= 1;
          chips.push(words);
          await move(page, '+6 h');
          round += 1;
        }
        if ((await mine.getByRole('link', { name: /Ready to cut/ }).count()) > 0) break;
      }
      expect(chips.join(', ')).to.match(/Lid lifting.*Take the weight off.*(daylight|lamp).*Water/s);

      await mine.getByRole('link', { name: /Ready to cut/ }).click();
      await page.getByLabel('Full bowl on the scale (g)').fill('240');
      await page.getByLabel('Empty bowl (g)').fill('214,5');
      await page.getByText('25.5 g').first().waitFor();
      await page.getByRole('button', { name: 'Record the cut and end the tray' }).click();
      await page.getByText('Cut in all').waitFor();
      expect(await page.locator('main').innerText()).to.match(/25\.5 g\s*11\.8 g per g of seed · 1280 g\/m²/);
      await open(page, stage, '/notebook');
      await page
        .getByRole('row', { name: /Garden cress.*25\.5 g/ })
        .first()
        .waitFor();
    });
});
