import { expect } from 'chai';
import type { Locator, Page } from 'playwright-core';
import { expectAccessible, open, recorded, setStage, type Stage } from '../support/browser.ts';

/** When a tray of mustard or radish truly comes to what is looked for, days: by nothing that the application knows. */
const COMES_D: readonly (readonly [words: RegExp, days: number])[] = [
  [/root|lift/i, 2.2],
  [/yellow|tall|stems|height|light|cm/i, 3.4],
  [/./, 6.8]
];

const READY = /ready to cut/i;

async function nextRound(page: Page): Promise<void> {
  const clock = page.getByLabel('The demo’s clock').locator('strong');
  const before = await clock.innerText();
  await page.getByRole('button', { name: 'Next round', exact: true }).click();
  await page.waitForFunction(
    (was) => document.querySelector('section.time strong')?.textContent !== was,
    before
  );
}

async function oneRoundADay(page: Page, stage: Stage): Promise<void> {
  await open(page, stage, '/household');
  await page.getByLabel('Second round').fill('');
  await page.getByRole('button', { name: /Save/ }).first().click();
  await page
    .getByText(/saved|kept/i)
    .first()
    .waitFor();
}

interface Choice {
  crop: string;
  medium: string;
  method?: string;
  place?: string;
}
const onMedium = (medium: string): Choice => ({ crop: 'mustard', medium });

async function chooses(page: Page, stage: Stage, { crop, medium, method, place }: Choice): Promise<void> {
  await open(page, stage, `/sow?crop=${crop}`);
  await page.getByLabel('Length (cm)').fill('20');
  await page.getByLabel('Width (cm)').fill('10');
  if (place) {
    await page.getByLabel('Place', { exact: true }).selectOption({ label: place });
    await page.getByLabel('At first light it goes to').selectOption({ label: 'Balcony sill' });
  }
  await page.getByText('Medium, method, density, own figures').click();
  await page.getByLabel('Medium', { exact: true }).selectOption({ label: medium });
  if (method) await page.getByLabel('Method', { exact: true }).selectOption({ label: method });
}

/** Sows a crop as it was chosen and does at every round what its card asks, until it asks for the cut. */
async function grow(page: Page, stage: Stage, choice: Choice, rounds: 1 | 2): Promise<string[]> {
  await chooses(page, stage, choice);
  await page.getByRole('button', { name: 'Put it on the list' }).click();
  await page.waitForURL('**/round');
  const stop = page.locator('article.stop').filter({ has: page.getByRole('button', { name: /Sow / }) });
  const title = await stop
    .filter({ hasText: new RegExp(choice.crop, 'i') })
    .locator('h3')
    .getAttribute('id');
  const mine = page.locator(`article:has(#${title})`);
  const told: string[] = [];
  for (let round = 0; round < 40; round += 1) {
    const days = round / rounds;
    // What is touched brings the next step onto the card.
    for (let touches = 0; touches < 8; touches += 1) {
      const ticks = mine.locator('button.tick');
      const chips = mine.locator('.carry').getByRole('button', { name: 'Balcony sill' });
      // Now and then some of the pool still stands, and less is given.
      const stood = mine.getByRole('button', { name: /^Yes: poured off/ });
      const looks = mine.getByRole('group', { name: /^Look at/ });
      const feel = mine.getByRole('group', { name: /^How damp/ }).filter({ hasText: 'Touch it first' });
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
        const seen = days >= COMES_D.find(([of]) => of.test(words))![1];
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

describe('trays on little or nothing, taken to their cut by what each round asks', () => {
  let stage: Stage;
  beforeEach(async () => {
    stage = await setStage(true);
  });
  afterEach(() => stage.close());

  for (const [medium, rounds] of [
    ['Coir', 1],
    ['Hemp mat', 1],
    ['Hemp mat', 2],
    ['Paper', 2],
    ['Nothing: a bare tray', 2]
  ] as const)
    it(`${medium} with ${rounds === 1 ? 'one round' : 'two rounds'} a day`, async () => {
      const page = await stage.page();
      if (rounds === 1) await oneRoundADay(page, stage);
      const told = await grow(page, stage, onMedium(medium), rounds);
      expect(told.at(-1)).to.match(READY);
      // A card that asks for the cut has just learned that it opened, and so how long it has lost more.
      const before = told.filter((card) => !READY.test(card));
      expect(before.length).to.be.above(5);
      expect(before.join('\n')).not.to.match(/may be lost|\bLate\b|\b0 % of/);
    });

  it('is pressed late, carried out of its cupboard and sprayed, as its method and place have it', async () => {
    const page = await stage.page();
    await open(page, stage, '/shelf/new');
    await page.getByLabel('Name', { exact: true }).fill('Cupboard');
    await page.getByRole('radio', { name: /^Dark/ }).check();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL('**/shelf');
    await open(page, stage, '/methods/new?from=press-and-wait');
    await page.getByLabel('Name', { exact: true }).fill('Late and sprayed');
    await page.getByLabel('A lid, then a weight').check();
    await page.getByRole('button', { name: 'Add a spray' }).click();
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByText('Say what you spray with').waitFor();
    await page.getByLabel('Spray 1: what with').fill('Nettle water');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL('**/methods');
    await page.getByText('Nettle water, once a day').waitFor();

    const told = await grow(
      page,
      stage,
      { crop: 'radish', medium: 'Coir', method: 'Late and sprayed', place: 'Cupboard' },
      2
    );
    const days = (words: RegExp): number[] =>
      told.filter((line) => words.test(line)).map((line) => parseFloat(line));
    expect(told[0]).to.match(/Once it has rooted it is pressed with/);
    const [on] = days(/Take the lid off and press it with/);
    const [off] = days(/Take the weight off and put a dark dome on/);
    expect(on).to.be.within(2, 3);
    expect(off! - on!).to.be.within(1.5, 2);
    const sprayed = days(/Spray finely with Nettle water/);
    expect(new Set(sprayed.map(Math.floor)).size).to.be.above(1);
    expect(new Set(days(/It stands in the dark here\. It goes to:/)).size).to.equal(1);
    // Where it was said to go stands first.
    expect(told.find((line) => /It goes to:/.test(line))).to.match(/It goes to: Balcony sill/);
    expect(told.join('\n')).not.to.match(/this place is dark/);
    expect(told.at(-1)).to.match(READY).and.not.match(/Spray/);
  });

  for (const medium of ['Paper', 'Nothing: a bare tray'])
    it(`${medium} with one round a day is warned about before it is sown`, async () => {
      const page = await stage.page();
      await oneRoundADay(page, stage);
      await chooses(page, stage, onMedium(medium));
      await page.getByText(/If you miss one, it may stand dry|it would dry out/).waitFor();
      await page.getByText(/What would mend it: /).waitFor();
    });
});
