import { expect } from 'chai';
import jsQR from 'jsqr';
import type { Locator, Page } from 'playwright-core';
import {
  expectAccessible,
  expectFitsThumb,
  open,
  PHONE,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';
import { keyboard } from '../support/hand.ts';

const board = (page: Page, place: string): Locator => page.getByRole('list', { name: `Trays on ${place}` });
const standing = (page: Page, place: string, crop: string): Locator =>
  board(page, place).getByRole('button', { name: new RegExp(`^${crop}`) });
const panel = (page: Page): Locator => page.locator('section.panel');

/** Drags with the mouse, in steps as a hand does. */
async function drag(page: Page, from: Locator, to: Locator): Promise<void> {
  await from.scrollIntoViewIfNeeded();
  const [start, end] = [(await from.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(start.x + start.width / 2, start.y + start.height / 2);
  await page.mouse.down();
  await page.mouse.move(start.x + start.width / 2 + 12, start.y + start.height / 2 + 12, { steps: 4 });
  await page.mouse.move(end.x + end.width * 0.8, end.y + end.height / 2, { steps: 20 });
  await to.and(page.locator('.over')).waitFor();
  await page.mouse.up();
}

/** What a reader that is not ours finds in a code as it is printed. */
async function scanned(page: Page, code: Locator): Promise<string> {
  const png = (await code.screenshot()).toString('base64');
  const { data, width, height } = await page.evaluate(async (base64) => {
    const image = new Image();
    image.src = `data:image/png;base64,${base64}`;
    await image.decode();
    const canvas = new OffscreenCanvas(image.width, image.height);
    const context = canvas.getContext('2d')!;
    context.drawImage(image, 0, 0);
    const { data } = context.getImageData(0, 0, image.width, image.height);
    return { data: [...data], width: image.width, height: image.height };
  }, png);
  return jsQR(new Uint8ClampedArray(data), width, height)?.data ?? '';
}

describe('the shelf', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('moves a tray that is dragged, and its window with it, and back', async () => {
    const page = await stage.page({ viewport: { width: 1280, height: 1900 } });
    await open(page, stage, '/shelf');
    const tray = standing(page, 'Trolley, top tier', 'Broccoli');
    await tray.click();
    const before = (await panel(page).locator('p').allInnerTexts()).join(' ');
    await drag(page, tray, board(page, 'Trolley, bottom tier'));
    await standing(page, 'Trolley, bottom tier', 'Broccoli').waitFor();
    await page.getByText('Broccoli: moved to Trolley, bottom tier').waitFor();
    await panel(page).getByText('On Trolley, bottom tier, Blue tray').waitFor();
    const after = (await panel(page).locator('p').allInnerTexts()).join(' ');
    expect(after.replace(/On .*?\./, '')).not.to.equal(before.replace(/On .*?\./, ''));
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await standing(page, 'Trolley, top tier', 'Broccoli').waitFor();
  });

  it('says what a move would do before it is made, by keys alone', async () => {
    const page = await stage.page();
    await open(page, stage, '/shelf');
    const hand = keyboard(page);
    await hand.press(standing(page, 'Stairwell sill', 'Mustard'));
    const option = panel(page).locator('li', { hasText: 'Trolley, top tier' });
    await option.getByText(/window .* sooner/).waitFor();
    await hand.press(option.getByRole('button', { name: 'Move to Trolley, top tier' }));
    await standing(page, 'Trolley, top tier', 'Mustard').waitFor();
    await expectAccessible(page);
  });

  it('refuses a load over the rating until somebody says that it holds', async () => {
    const page = await stage.page({ viewport: { width: 1280, height: 1900 } });
    await open(page, stage, '/shelf');
    await page.getByRole('link', { name: 'Stairwell sill' }).click();
    await page.getByLabel('Weight limit').fill('900 g');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.waitForURL('**/shelf');
    const peas = board(page, 'Balcony sill').getByRole('button', { name: /Pea shoots/ });
    await drag(page, peas, board(page, 'Stairwell sill'));
    await page.getByRole('alert').getByText('would carry more than it is rated for').waitFor();
    await board(page, 'Balcony sill')
      .getByRole('button', { name: /Pea shoots/ })
      .waitFor();
    await panel(page).getByText('Caution').waitFor();
    await panel(page)
      .locator('li', { hasText: 'Stairwell sill' })
      .getByRole('button', { name: 'I checked: it can carry more' })
      .click();
    await panel(page).getByRole('button', { name: 'Move to Stairwell sill' }).click();
    await board(page, 'Stairwell sill')
      .getByRole('button', { name: /Pea shoots/ })
      .waitFor();
    await page
      .getByText(/Carries .*: too much/)
      .first()
      .waitFor();
  });

  it('fits a phone, where a touch on a tray opens what it can do', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/shelf');
    await board(page, 'Balcony sill')
      .getByRole('button', { name: /Garden cress/ })
      .tap();
    await panel(page).getByRole('button', { name: /Move/ }).first().waitFor();
    await expectFitsThumb(page);
    await expectAccessible(page);
  });

  it('adds a place from its lamp’s watts, and keeps what was typed when something is wrong', async () => {
    const page = await stage.page();
    await open(page, stage, '/shelf');
    await page.getByRole('link', { name: 'New place' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Cellar rack');
    await page.getByRole('radio', { name: 'Lamp' }).check();
    await page.getByLabel('Watts').fill('30');
    await page.getByLabel('By day (°C)').fill('70');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByText('Give its PPFD, or its watts and its distance.').waitFor();
    await page.getByText('Is it degrees Fahrenheit?').waitFor();
    expect(await page.getByLabel('Watts').inputValue()).to.equal('30');
    await page.getByLabel('Lamp to leaves (cm)').fill('25');
    await page.getByLabel('By day (°C)').fill('68 F');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.waitForURL('**/shelf');
    await page.getByRole('heading', { name: 'Cellar rack' }).waitFor();
    await page.getByRole('link', { name: 'Cellar rack' }).click();
    await page.getByText(/That comes to about \d+ µmol/).waitFor();
    expect(await page.getByLabel('By day (°C)').inputValue()).to.equal('20');
    await expectAccessible(page);
  });

  it('has labels to print, whose codes lead a camera to their trays', async () => {
    const page = await stage.page({ viewport: { width: 900, height: 1200 } });
    await open(page, stage, '/shelf');
    await page.getByRole('link', { name: 'Print labels' }).click();
    await page.getByText('only this computer can reach').waitFor();
    await expectAccessible(page);
    // Labels that are on their trays already are left off.
    const labels = page.locator('.sheet li');
    const many = await labels.count();
    await page.getByRole('button', { name: /^Broccoli, / }).click();
    await shows(labels, many - 1);
    await page.emulateMedia({ media: 'print' });
    expect(await page.getByRole('heading', { name: 'Labels' }).isVisible()).to.equal(false);
    const mustard = labels.filter({ hasText: 'Mustard' });
    const address = await scanned(page, mustard.getByRole('img'));
    expect(address).to.match(new RegExp(`^${stage.url}tray/[0-9a-f-]{36}$`));
    await page.emulateMedia({ media: 'screen' });
    await open(page, stage, address.slice(stage.url.length - 1));
    await page.getByRole('heading', { level: 1, name: 'Mustard' }).waitFor();
  });
});
