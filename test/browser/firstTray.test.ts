import { expect } from 'chai';
import type { Page } from 'playwright-core';
import {
  DESK,
  expectAccessible,
  expectFitsThumb,
  open,
  moveOn,
  PHONE,
  setStage,
  settled,
  type Stage
} from '../support/browser.ts';
import { keyboard, pointer } from '../support/hand.ts';

/** Moves the demo's clock and waits for the page to show it: time goes by itself, whatever hand somebody has. */
async function move(page: Page, button: '+6 h' | 'Next round'): Promise<void> {
  const clock = page.getByLabel('The demo’s clock').locator('strong');
  const before = await clock.innerText();
  await moveOn(page, button);
  await page.waitForFunction(
    (was) => document.querySelector('section.time strong')?.textContent !== was,
    before
  );
}

describe('the first tray, from clone to plate', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

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

  for (const [name, device, handOf] of [
    ['by mouse at a desk', DESK, () => pointer],
    ['by thumb at 390 px', PHONE, () => pointer],
    ['by keyboard alone', DESK, keyboard]
  ] as const)
    it(`goes from sowing to the cut ${name}`, async () => {
      const page = await stage.page(device);
      const hand = handOf(page);
      await open(page, stage, '/round');
      // On a phone Sow is at the thumb, and nowhere else.
      await hand.press(
        page.getByRole('link', { name: device === PHONE ? 'Sow' : 'New sowing', exact: true })
      );
      await hand.fill(page.getByRole('searchbox', { name: 'Find a crop' }), 'cress');
      await hand.press(page.getByRole('link', { name: /^Garden cress/ }));
      await hand.press(page.getByText('Another size or shape'));
      await hand.fill(page.getByLabel('Length (cm)'), '20');
      await hand.fill(page.getByLabel('Width (cm)'), '10');
      const seed = page.getByLabel('The plan').locator('strong', { hasText: /^2\.99 g$/ });
      await seed.waitFor();
      await hand.press(page.getByRole('button', { name: 'Plan this sowing' }));
      await page.waitForURL('**/round');

      const stop = page.locator('article.stop').filter({ hasText: /Sow 2.99 g/ });
      const title = await stop.locator('h3').getAttribute('id');
      const mine = page.locator(`article:has(#${title})`);
      for (const taken of [true, false]) {
        await hand.press(mine.getByRole('button', { name: /Sow 2.99 g/ }));
        await mine.getByText('Day 0 · rooting, covered').waitFor({ state: 'attached' });
        if (!taken) break;
        await hand.press(mine.getByRole('button', { name: /^Undo/ }));
        await mine.getByText('Day 0 · rooting, covered').waitFor({ state: 'detached' });
        await settled(page);
      }

      // Does each round what the round asks, and looks where it asks to look.
      const chips: string[] = [];
      for (let round = 0; round < 40; round += 1) {
        await move(page, 'Next round');
        for (let tasks = await mine.locator('button.tick').count(); tasks > 0; tasks -= 1) {
          const label = await mine.locator('button.tick strong').first().innerText();
          await hand.press(mine.locator('button.tick').first());
          await mine.locator('button.tick strong', { hasText: label }).waitFor({ state: 'detached' });
          await settled(page);
          chips.push(label);
        }
        const look = mine
          .getByRole('group', { name: /^Check / })
          .locator('button')
          .first();
        const asks = (await mine.getByRole('button', { name: 'Not yet' }).count()) > 0;
        if (asks && round % 2 === 1) {
          const words = await look.locator('.words').innerText();
          await hand.press(look);
          await mine.getByText(`Checked “${words}”: yes`).first().waitFor();
          await settled(page);
          round -= 1;
          chips.push(words);
          await move(page, '+6 h');
          round += 1;
        }
        if ((await mine.getByRole('link', { name: /ready to cut/i }).count()) > 0) break;
      }
      expect(chips.join(', ')).to.match(/Pushing the lid up.*Take the weight off.*(daylight|lamp).*Water/s);

      const tray = await mine.locator('h3 a').getAttribute('href');
      await hand.press(mine.getByRole('link', { name: /ready to cut/i }));
      await hand.fill(page.getByLabel('Full bowl on the scale (g)'), '240');
      await hand.fill(page.getByLabel('Empty bowl (g)'), '214,5');
      await page.getByText('25.5 g').first().waitFor();
      await hand.press(page.getByRole('button', { name: 'Record the cut and end the tray' }));
      // Into the pantry, out of it, and the tray back on the shelf.
      await page.waitForURL('**/pantry');
      const item = page.getByRole('listitem').filter({ hasText: /Garden cress.*25\.5 g/s });
      await hand.press(item.getByRole('button', { name: /^A handful/ }));
      await page.getByText('Garden cress: 20 g taken out').waitFor();
      await hand.press(
        page
          .getByRole('listitem')
          .filter({ hasText: /Garden cress\s*5\.5 g/ })
          .getByRole('button', { name: /^All/ })
      );
      await page.getByText('Garden cress: 5.5 g taken out').waitFor();
      await open(page, stage, '/round');
      await hand.press(page.getByRole('button', { name: /clean and dry: put back/ }));
      await page.getByText(/: clean and dry$/).waitFor();
      await page.getByRole('heading', { name: 'At the sink' }).waitFor({ state: 'detached' });

      await open(page, stage, tray!);
      await page.getByText('Total cut').waitFor();
      await page.getByText('Dry, back on the shelf').first().waitFor();
      const story = await page.locator('main').innerText();
      expect(story).to.match(/25\.5 g\s*8\.53 g per g of seed · 1280 g\/m²/);
      expect(story).to.match(/Eaten\s*25\.5 g/);
      await open(page, stage, '/notebook');
      await page
        .getByRole('row', { name: /Garden cress.*25\.5 g/ })
        .first()
        .waitFor();
    });
});
