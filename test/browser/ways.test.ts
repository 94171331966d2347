import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { expectAccessible, open, setStage, type Stage } from '../support/browser.ts';
import { grow, READY } from '../support/growing.ts';

const VARIETIES = ['Purple', 'Lemon', 'Small-leaved', 'Large-leaved', 'Cinnamon'];

/** Answers questions of the method for this sowing alone. */
const differently =
  (group: string, ...answers: string[]) =>
  async (page: Page): Promise<void> => {
    await page.getByText('Change the method for this sowing').click();
    await page.getByText(`${group}:`).click();
    for (const answer of answers) await page.getByRole('radio', { name: answer, exact: true }).check();
  };

const dayOf = (told: readonly string[], words: RegExp): number =>
  parseFloat(told.find((line) => words.test(line)) ?? 'never');

describe('ways of growing, taken to their cut by what each round asks', () => {
  let stage: Stage;
  beforeEach(async () => {
    stage = await setStage(true);
  });
  afterEach(() => stage.close());

  it('five varieties of basil under a dome, until they stand over the rim; and the same again', async () => {
    const page = await stage.page();
    const told = await grow(
      page,
      stage,
      {
        crop: 'basil',
        medium: 'Coir',
        comes: [
          [/root|pushing/i, 4.2],
          [/./, 15]
        ],
        most: 60,
        more: async (form) => {
          await form.getByRole('radio', { name: 'Seed blend' }).check();
          for (let more = 1; more < VARIETIES.length; more += 1)
            await form.getByRole('button', { name: 'Add another variety of basil' }).click();
          for (const [nth, variety] of VARIETIES.entries())
            await form.getByLabel('Variety').nth(nth).fill(variety);
          await differently(
            'Dark and light',
            'No darkness at all',
            'When the stems stand over the rim'
          )(form);
          await form.getByText('the dome keeps it so').waitFor();
          await form.getByLabel('Height over the rim (cm)').fill('1');
          await expectAccessible(form);
        }
      },
      2
    );
    expect(told.at(-1)).to.match(READY);
    expect(
      dayOf(told, /Only once most stems stand 1 cm above the rim, 3\.5 cm above the medium/)
    ).to.be.within(6, 14);
    expect(told.join('\n'))
      .to.match(/growing under a clear dome/)
      .and.not.match(/may be lost/);

    await open(page, stage, '/round');
    await page
      .locator('article.stop h3 a', { hasText: /^Basil$/ })
      .first()
      .click();
    await page.getByRole('button', { name: /^Sow (it|the same) again/ }).click();
    await page.waitForURL('**/round');
    await open(page, stage, '/bench');
    await page.getByText('Basil (Small-leaved)').first().waitFor();
  });

  it('a mat that is poured through twice a day', async () => {
    const page = await stage.page();
    const told = await grow(
      page,
      stage,
      {
        crop: 'mustard',
        medium: 'Hemp mat',
        more: differently('Water and feed', 'Poured through twice a day')
      },
      2
    );
    expect(told.at(-1)).to.match(READY);
    const pours = told.filter((line) => /Pour \d+ mL through the mat and let it drain/.test(line));
    expect(pours.length).to.be.above(5);
    expect(told.join('\n')).not.to.match(/Water still in the tray|may be lost/);
  });

  it('a sill with shade until day four', async () => {
    const page = await stage.page();
    const told = await grow(
      page,
      stage,
      {
        crop: 'mustard',
        medium: 'Coir',
        more: async (form) => {
          await form.getByLabel('Place', { exact: true }).selectOption({ label: 'Balcony sill' });
          await differently('Dark and light', 'Straight to light', 'Shade first, then sun')(form);
          await form.getByLabel('Days of shade, from sowing').fill('4');
        }
      },
      2
    );
    expect(told.at(-1)).to.match(READY);
    expect(told.join('\n')).to.match(/Keep it out of direct sun until/);
    expect(dayOf(told, /Take the shade off/)).to.be.within(4, 5);
  });

  it('arugula that is cut at its third leaf', async () => {
    const page = await stage.page();
    const told = await grow(
      page,
      stage,
      {
        crop: 'arugula',
        medium: 'Coir',
        comes: [
          [/root|pushing/i, 2.6],
          [/yellow|tall|stems|height|light/i, 4.2],
          [/./, 17]
        ],
        most: 60,
        more: async (form) => {
          await differently('Cut', 'Third true leaf')(form);
          await form.getByText('gets much hotter').waitFor();
        }
      },
      2
    );
    expect(told.at(-1)).to.match(READY);
    expect(parseFloat(told.at(-1)!)).to.be.above(14);
    expect(told.join('\n')).not.to.match(/past its window/i);
  });
});
