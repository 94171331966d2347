import { expect } from 'chai';
import { expectAccessible, open, setStage, type Stage } from '../support/browser.ts';

describe('single keys', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('walk the round, tick and take back, and find a tray by its name', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    const stops = page.locator('main article').filter({ has: page.locator('h3 a') });
    await page.keyboard.press('j');
    await page.keyboard.press('j');
    const second = stops.nth(1);
    await second.locator('h3 a:focus').waitFor();
    const water = second.getByRole('button', { name: /^Water / });
    await water.waitFor();
    const undo = page.getByRole('button', { name: 'Undo', exact: true });
    await page.keyboard.press('x');
    await water.waitFor({ state: 'detached' });
    await undo.waitFor();
    await page.keyboard.press('u');
    await water.waitFor();
    await undo.waitFor({ state: 'detached' });
    await second.locator('h3 a').focus();
    await page.keyboard.press('w');
    await page.getByText('Broccoli: wet', { exact: true }).waitFor();
    // The server has to answer before it can be undone.
    await undo.waitFor();
    await page.keyboard.press('u');
    await undo.waitFor({ state: 'detached' });
    await second.locator('h3 a').focus();
    await page.keyboard.press('k');
    await stops.first().locator('h3 a:focus').waitFor();

    await page.keyboard.press('/');
    const field = page.getByRole('searchbox', { name: 'Find a tray, crop or page' });
    await field.fill('tray 99 broc');
    await page.getByText('Nothing found').waitFor();
    await field.fill('tray 3 broc');
    await page.getByRole('link', { name: /^Broccoli Blue tray 3/ }).waitFor();
    await expectAccessible(page);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/tray\/[0-9a-f-]{36}$/);
    await page.getByRole('heading', { name: 'Broccoli', exact: true }).waitFor();
  });

  it('are explained by one of them, closed by Escape, letters in a field, and can be turned off', async () => {
    const page = await stage.page();
    await open(page, stage, '/crops');
    await page.keyboard.press('?');
    const help = page.getByRole('dialog', { name: 'Keyboard shortcuts' });
    await help.getByText('New sowing').waitFor();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await help.waitFor({ state: 'detached' });

    await page.getByRole('searchbox').first().pressSequentially('nu?');
    expect(await page.getByRole('searchbox').first().inputValue()).to.equal('nu?');
    expect(new URL(page.url()).pathname).to.equal('/crops');

    await open(page, stage, '/household');
    await page.getByText('Keyboard shortcuts').click();
    await page.getByText('Use these keys on this device').click();
    await open(page, stage, '/crops');
    await page.keyboard.press('n');
    await page.keyboard.press('?');
    await page.getByRole('heading', { name: 'Crops' }).click();
    expect(await help.count()).to.equal(0);
    expect(new URL(page.url()).pathname).to.equal('/crops');
  });
});
