import { expect } from 'chai';
import { expectAccessible, open, setStage, type Stage } from '../support/browser.ts';
import { chooses, grow, oneRoundADay, READY } from '../support/growing.ts';

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
      const told = await grow(page, stage, { crop: 'mustard', medium }, rounds);
      expect(told.at(-1)).to.match(READY);
      // A card that asks for the cut has just learned that it opened, and so how long it has lost more.
      const before = told.filter((card) => !READY.test(card));
      expect(before.length).to.be.above(5);
      expect(before.join('\n')).not.to.match(/may be lost|\bLate\b|\b0% of/);
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
    expect(told[0]).to.match(/Once it has rooted, press it with/);
    const [on] = days(/Take the lid off and press it with/);
    const [off] = days(/Take the weight off and put a dark dome on/);
    expect(on).to.be.within(2, 3);
    expect(off! - on!).to.be.within(1.5, 2);
    const sprayed = days(/Spray finely with Nettle water/);
    expect(new Set(sprayed.map(Math.floor)).size).to.be.above(1);
    expect(new Set(days(/It is in the dark here\. Move it to:/)).size).to.equal(1);
    // Where it was said to go stands first.
    expect(told.find((line) => /Move it to:/.test(line))).to.match(/Move it to: Balcony sill/);
    expect(told.join('\n')).not.to.match(/this place is dark/);
    expect(told.at(-1)).to.match(READY).and.not.match(/Spray/);
  });

  for (const medium of ['Paper', 'Nothing: a bare tray'])
    it(`${medium} with one round a day is warned about before it is sown`, async () => {
      const page = await stage.page();
      await oneRoundADay(page, stage);
      await chooses(page, stage, { crop: 'mustard', medium });
      await page.getByText(/If you miss one, it may stand dry|it would dry out/).waitFor();
      await page.getByText(/What would help: /).waitFor();
    });
});
