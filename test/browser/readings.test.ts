import { expect } from 'chai';
import type { Page } from 'playwright-core';
import { sendReadings } from '../../commands/lib/roomSensor.ts';
import { expectAccessible, expectFitsThumb, open, PHONE, setStage, type Stage } from '../support/browser.ts';

const SILL = '/shelf/00000004-0000-4000-a000-000000000000';

describe('readings', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  /** Adds a sensor on the balcony sill. @returns its token, which is shown once */
  async function addSensor(page: Page, name: string): Promise<string> {
    await open(page, stage, SILL);
    await page.getByLabel('Name of the new sensor').fill(name);
    await page.getByRole('button', { name: 'Create a token' }).click();
    return page.locator('code.token').innerText();
  }
  const push = (token: string, body: string, type = 'application/json', query = '') =>
    fetch(`${stage.url}api/readings${query}`, {
      method: 'POST',
      headers: { authorization: `Bearer ${token}`, 'content-type': type },
      body
    });

  it('pushed by a device move the windows of what stands there', async () => {
    const page = await stage.page();
    await open(page, stage, '/round');
    const cress = page.locator('article.stop', { has: page.getByRole('link', { name: 'Garden cress' }) });
    const peas = page
      .locator('section.shelf', { hasText: 'Balcony sill' })
      .locator('article.stop', { hasText: 'Pea shoots' });
    await cress.waitFor();
    const window = () => peas.first().locator('p.window').innerText();
    const before = await window();
    const token = await addSensor(page, 'Cold sill');
    const status = (await (
      await fetch(`${stage.url}api/readings`, { headers: { authorization: `Bearer ${token}` } })
    ).json()) as { now: number; lastAt: number | null };
    expect(status.lastAt).to.equal(null);
    const readings = Array.from({ length: 90 }, (_, hour) => ({
      at: status.now - hour * 3_600_000,
      tempC: 8,
      humidityPct: 70
    }));
    const first = await push(token, JSON.stringify({ readings }));
    expect(await first.json()).to.deep.equal({ taken: 90, added: 90, refused: [] });
    const again = await push(token, JSON.stringify({ readings }));
    expect(await again.json()).to.deep.equal({ taken: 90, added: 0, refused: [] });
    await open(page, stage, '/round');
    await peas.first().waitFor();
    expect(await window()).not.to.equal(before);
    await open(page, stage, '/shelf');
    await page.getByText(/ 8 °C measured/).waitFor();
  });

  it('come in line protocol from the simulated sensor, which catches up and then has nothing new', async () => {
    const page = await stage.page();
    const token = await addSensor(page, 'Stand-in');
    const sensor = {
      url: stage.url,
      token,
      corner: { meanC: 19, swingC: 3, humidityPct: 50 },
      everyMs: 900_000
    };
    expect(await sendReadings(sensor)).to.equal(96);
    expect(await sendReadings(sensor)).to.equal(0);
    await open(page, stage, SILL);
    await page
      .locator('li', { hasText: 'Stand-in' })
      .getByText(/°C, \d+%, today/)
      .waitFor();
  });

  it('are refused line by line, and a device without a token altogether', async () => {
    const page = await stage.page();
    const token = await addSensor(page, 'Broken');
    const mixed = await push(
      token,
      'air temperature=212\nair temperature=20.5,humidity=55\nair rain=3',
      'text/plain',
      '?precision=s'
    );
    expect(mixed.status).to.equal(200);
    const told = (await mixed.json()) as { taken: number; refused: { line: number; message: string }[] };
    expect(told.taken).to.equal(1);
    expect(told.refused.map(({ line }) => line).sort()).to.deep.equal([1, 3]);
    expect((await push(token, 'air temperature=212', 'text/plain', '?precision=s')).status).to.equal(422);
    expect((await push(token, 'air temperature=20', 'text/plain', '?precision=days')).status).to.equal(422);
    expect((await push(token, '{"tempC": "warm"}')).status).to.equal(422);
    expect((await push(token, '[]')).status).to.equal(422);
    expect((await push('brote_wrong', '{"tempC": 20}')).status).to.equal(401);
    expect((await fetch(`${stage.url}api/readings`)).status).to.equal(401);
    await open(page, stage, SILL);
    await page
      .locator('li', { hasText: 'Broken' })
      .getByText(/Reading refused .*212 °C is no room/)
      .waitFor();
    await page.getByRole('button', { name: /Revoke its token.*Broken/ }).click();
    await page.locator('li', { hasText: 'Broken' }).waitFor({ state: 'detached' });
    expect((await push(token, '{"tempC": 20}')).status).to.equal(401);
  });

  it('cannot be forged into the household by a form of another site', async () => {
    const forged = await fetch(`${stage.url}shelf/new?/save`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-www-form-urlencoded', origin: 'http://elsewhere.example' },
      body: 'name=Mine'
    });
    expect(forged.status).to.equal(403);
  });

  it('typed as 212 °C are asked about, and 70 can be read as °F', async () => {
    const page = await stage.page();
    await open(page, stage, SILL);
    await page.getByLabel('Now (°C)').fill('212');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await page.getByText('212 °C is no room').waitFor();
    await page.getByRole('button', { name: 'Read 212 as °F' }).click();
    await page.getByText('100 °C is no room').waitFor();
    await page.getByLabel('Now (°C)').fill('70');
    await page.getByRole('button', { name: 'Save reading' }).click();
    await page.getByText('70 °C is no room: is it °F? That would be 21.1 °C.').waitFor();
    await page.getByRole('button', { name: 'Read 70 as °F' }).click();
    await page.getByText('Saved: 21 °C now.').waitFor();
  });

  it('are brought in from a file, with what cannot be taken said by its line', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, SILL);
    await page
      .getByLabel('Or paste it here')
      .fill('time;temperature\n2027-01-10 08:00;17,5\n2027-01-10 09:00;900\nsoon;18\n');
    await page.getByText('1 reading can be imported, 2 cannot.').waitFor();
    await page.getByText('Line 3: 900 °C is no room').waitFor();
    await page.getByText('Line 4: “soon” is no time').waitFor();
    await page.getByRole('button', { name: 'Import 1' }).click();
    await page.getByText('1 new reading imported.').waitFor();
    await page.getByRole('button', { name: 'Import 1' }).click();
    await page.getByText('0 new readings imported; 1 were already there.').waitFor();
    await expectFitsThumb(page);
    await expectAccessible(page);
  });

  it('show where a sensor fell silent, and draw what it measured with its gap', async () => {
    const page = await stage.page();
    await open(page, stage, '/shelf');
    await page.getByText(/No reading from its sensor since/).waitFor();
    await page.getByRole('link', { name: 'Trolley, middle tier' }).click();
    await page.getByText('Grey: no readings, so the usual warmth is used.').waitFor();
    await page.locator('.canvas canvas').waitFor();
    await page.getByText('Figures').click();
    expect(await page.getByRole('row').count()).to.be.above(40);
    await expectAccessible(page);
  });
});
