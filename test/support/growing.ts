import { cropOf } from '../../src/core/crops/library.ts';
import { cropName } from '../../src/words/cropNames.ts';
import type { Locator, Page } from 'playwright-core';
import { moveOn, open, recorded, typeSize, type Stage } from './browser.ts';

/** The day on which a tray really shows each cue, independent of any forecast. */
type ComesD = readonly (readonly [words: RegExp, days: number])[];

/** Of mustard and radish. */
const QUICK: ComesD = [
  [/root|pushing/i, 2.2],
  [/yellow|tall|stems|height|light|cm/i, 3.4],
  [/./, 6.8]
];

/** A card that asks for the cut. */
export const READY = /ready to cut/i;

async function nextRound(page: Page): Promise<void> {
  const clock = page.getByLabel('The demo’s clock').locator('strong');
  const before = await clock.innerText();
  await moveOn(page, 'Next round');
  await page.waitForFunction(
    (was) => document.querySelector('section.time strong')?.textContent !== was,
    before
  );
}

/** Drops the household's second round. */
export async function oneRoundADay(page: Page, stage: Stage): Promise<void> {
  await open(page, stage, '/household');
  await page.getByLabel('Second round').fill('');
  await page.getByRole('button', { name: /Save/ }).first().click();
  await page
    .getByText(/saved|kept/i)
    .first()
    .waitFor();
}

/** What is sown, and how. */
export interface Choice {
  crop: string;
  medium: string;
  method?: string;
  /** A dark one, from which it goes to the balcony at first light. */
  place?: string;
  /** Chooses the rest, with the further choices open. */
  more?: (page: Page) => Promise<void>;
  /** Where it is not as quick as mustard. */
  comes?: ComesD;
  /** Rounds after which it is given up. */
  most?: number;
}

/** Fills the form of a new sowing in. */
export async function chooses(
  page: Page,
  stage: Stage,
  { crop, medium, method, place, more }: Choice
): Promise<void> {
  await open(page, stage, `/sow?crop=${crop}`);
  await typeSize(page);
  await page.getByLabel('Length (cm)').fill('20');
  await page.getByLabel('Width (cm)').fill('10');
  if (place) {
    await page.getByLabel('Place', { exact: true }).selectOption({ label: place });
    await page.getByLabel('Move it at first light to').selectOption({ label: 'Balcony sill' });
  }
  await page.getByText(/^Advanced:/).click();
  await page.getByLabel('Medium', { exact: true }).selectOption({ label: medium });
  if (method) await page.getByLabel('Method', { exact: true }).selectOption({ label: method });
  await more?.(page);
}

/** Sows a crop as it was chosen and does at every round what its card asks, until it asks for the cut. */
export async function grow(page: Page, stage: Stage, choice: Choice, rounds: 1 | 2): Promise<string[]> {
  await chooses(page, stage, choice);
  await page.getByRole('button', { name: 'Plan this sowing' }).click();
  await page.waitForURL('**/round');
  const stop = page.locator('article.stop').filter({ has: page.getByRole('button', { name: /Sow / }) });
  const title = await stop
    .filter({ hasText: cropName(cropOf(choice.crop).name) })
    .locator('h3')
    .getAttribute('id');
  const mine = page.locator(`article:has(#${title})`);
  const told: string[] = [];
  for (let round = 0; round < (choice.most ?? 40); round += 1) {
    const days = round / rounds;
    // What is touched brings the next step onto the card.
    for (let touches = 0; touches < 8; touches += 1) {
      const ticks = mine.locator('button.tick');
      const chips = mine.locator('.carry').getByRole('button', { name: 'Balcony sill' });
      // Now and then some of the pool still stands, and less is given.
      const stood = mine.getByRole('button', { name: /^Yes: poured off/ });
      const looks = mine.getByRole('group', { name: /^Check (?!again)/ });
      const feel = mine.getByRole('group', { name: /^How damp/ }).filter({ hasText: 'Feel the medium:' });
      const tell = async (card: Locator) =>
        told.push(`${days}: ${(await card.innerText()).replace(/\s+/g, ' ')}`);
      await tell(mine);
      if ((await mine.getByRole('link', { name: READY }).count()) > 0) {
        // An answer may have come between: as the card stands with that link.
        await tell(mine);
        return told;
      }
      if ((await feel.count()) > 0)
        await recorded(page, () => feel.getByRole('button', { name: 'Right' }).click());
      else if ((await chips.count()) > 0) {
        await tell(mine.locator('.carry'));
        await recorded(page, () => chips.first().click());
      } else if ((await stood.count()) > 0 && round % 4 === 3)
        await recorded(page, () => stood.first().click());
      else if ((await looks.count()) > 0) {
        const words = await looks.locator('.words').first().innerText();
        const seen = days >= (choice.comes ?? QUICK).find(([of]) => of.test(words))![1];
        await recorded(page, () =>
          looks
            .locator('button')
            .nth(seen ? 0 : 1)
            .click()
        );
      } else if ((await ticks.count()) > 0) {
        await tell(ticks.first());
        await recorded(page, () => ticks.first().click());
      } else break;
    }
    await nextRound(page);
  }
  return told;
}
