import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import {
  DESK,
  expectAccessible,
  expectFitsThumb,
  moveOn,
  open,
  PHONE,
  setStage,
  shows,
  type Stage
} from '../support/browser.ts';
import { keyboard } from '../support/hand.ts';

describe('from the cut to the plate', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('has nothing serious for axe, at a desk and on a phone', async () => {
    for (const device of [DESK, { ...PHONE, colorScheme: 'dark' as const }]) {
      const page = await stage.page(device);
      await open(page, stage, '/notebook?crop=radish&outcome=cut');
      const trays = await page
        .locator('th[scope=row] a')
        .evaluateAll((links) => links.map((link) => link.getAttribute('href')!));
      const ids = trays.slice(0, 3).map((path) => `id=${path.split('/').at(-1)}`);
      for (const path of [
        '/pantry',
        '/notebook?crop=radish',
        `/notebook/compare?${ids.join('&')}`,
        '/notebook/year',
        trays[0]!,
        '/household/money',
        '/household/data'
      ]) {
        await open(page, stage, path);
        await expectAccessible(page);
        if (device !== DESK) await expectFitsThumb(page);
      }
    }
  });

  it('checks, cuts strip by strip by touching the drawn tray, and leaves the rest standing', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/round');
    await page
      .getByRole('link', { name: /ready to cut/i })
      .first()
      .click();
    // Seen open before, it is not asked again unless somebody unfolds it.
    await page.getByText('Is it ready?').click();
    await page.getByRole('button', { name: /^Past its best/ }).click();
    await page.getByText('You found it past its best').waitFor();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await page.getByText('You found it past its best').waitFor({ state: 'detached' });

    await page.getByRole('button', { name: 'A strip' }).click();
    await page.getByText(/^8% of the tray/).waitFor();
    // Drawn across from a strip that is not picked to two beside it.
    const strip = (no: number) => page.getByRole('button', { name: `Strip ${no}`, exact: true });
    const [from, to] = [(await strip(2).boundingBox())!, (await strip(4).boundingBox())!];
    await page.mouse.move(from.x + from.width / 2, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(to.x + to.width / 2, to.y + 20, { steps: 8 });
    await page.mouse.up();
    await page.getByText(/^33% of the tray/).waitFor();
    expect(await strip(3).getAttribute('aria-pressed')).to.equal('true');

    await page.getByLabel('Full bowl on the scale (g)').fill('30');
    await page.getByLabel('Empty bowl (g)').fill('40');
    await page.getByRole('button', { name: 'Record this part' }).click();
    await page.getByText('The full bowl must weigh more than the empty one').waitFor();
    await page.getByLabel('Empty bowl (g)').fill('12');
    await page.getByRole('button', { name: 'Another bowl of the same cut' }).click();
    await page.getByText('One bowl before: 18 g').waitFor();
    await page.getByLabel('Full bowl on the scale (g)').fill('22,5');
    await page.getByText('28.5 g').first().waitFor();
    await page.getByRole('button', { name: 'Record this part' }).click();
    await page.waitForURL('**/pantry');
    await page
      .getByRole('listitem')
      .filter({ hasText: /Radish.*28\.5 g/s })
      .waitFor();

    await open(page, stage, '/round');
    // Cut today is enough for today; tomorrow the rest is asked for, and its grams are of what stands.
    await shows(page.getByText(/The rest is ready to cut/), 0);
    await page.locator('article.stop', { hasText: 'Radish' }).first().locator('h3 a').click();
    await page.getByRole('link', { name: 'Cut and weigh' }).click();
    await page.getByText('67% is still growing').waitFor();
    expect(await page.getByRole('button', { name: 'Strip 3, already cut' }).isDisabled()).to.equal(true);
  });

  it('packs anew, gives away with its cautions, and throws out with a reason, by keyboard', async () => {
    const page = await stage.page(DESK);
    const hand = keyboard(page);
    await open(page, stage, '/pantry');
    const item = page
      .getByRole('listitem')
      .filter({ hasText: /Pea shoots/ })
      .first();
    await hand.press(item.getByText('Other amount, repack'));
    await item.getByRole('radio', { name: /^Frozen/ }).focus();
    await page.keyboard.press('Space');
    await hand.fill(item.getByLabel('How much (g)'), '20');
    await hand.fill(item.getByLabel('Portion size (g)'), '10');
    await hand.press(item.getByRole('button', { name: 'Save' }));
    const frozen = page.getByRole('listitem').filter({ hasText: /Pea shoots\s*2 portions of 10 g/ });
    await frozen.waitFor();
    await frozen.getByRole('radio', { name: 'Give away' }).focus();
    await page.keyboard.press('Space');
    await frozen.getByText('Ask your local authority').waitFor();
    await hand.press(frozen.getByRole('button', { name: /^A portion/ }));
    await page.getByText('Pea shoots: 10 g given away').waitFor();
    const rest = page.getByRole('listitem').filter({ hasText: /Pea shoots\s*1 portion of 10 g/ });
    await hand.press(rest.getByText('Other amount, repack'));
    await hand.press(rest.getByRole('button', { name: 'Slime' }));
    await page.getByText('Pea shoots: thrown out').waitFor();
    await rest.waitFor({ state: 'detached' });
  });

  it('finds sowings, sorts them, and says what can be said of a lamp against a sill', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/notebook');
    await page.getByRole('searchbox', { name: 'Crop, place, note' }).fill('RADISH blue');
    await page.getByRole('button', { name: 'Find' }).click();
    await page.getByText(/sowings found/).waitFor();
    await page.getByRole('link', { name: 'Cut', exact: true }).click();
    await page.waitForURL(/sort=cut/);
    const grams = await page
      .locator('tbody tr')
      .evaluateAll((rows) =>
        rows.map((row) => parseFloat(row.children[4]!.textContent!)).filter((value) => !Number.isNaN(value))
      );
    expect(grams.length).to.be.above(4);
    expect(grams).to.deep.equal([...grams].sort((a, b) => b - a));
    for (const place of ['Trolley, top tier', 'Balcony sill'])
      for (const row of (await page.getByRole('row', { name: new RegExp(`${place}.*cut$`) }).all()).slice(
        0,
        3
      ))
        await row.getByRole('checkbox').check();
    await page.getByRole('button', { name: 'Compare 6' }).click();
    await page.getByRole('heading', { name: 'Conclusions' }).waitFor();
    const said = await page.locator('main').innerText();
    expect(said).to.match(/(Sill compared with lamp|Lamp compared with sill): .* in these trays/);
    expect(said).to.match(/four in five chance/);
    expect(said).to.match(/no telling which of these made the difference/);
    await shows(page.locator('tr.differs'), 2);
    await page.locator('canvas').waitFor();
  });

  it('takes the household out, empties it and brings it back', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/household/data');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Export everything' }).click()
    ]);
    const file = await download.path();
    const before = readFileSync(file);
    await page.getByText('Delete this household’s data', { exact: true }).click();
    await page.getByLabel('The household’s name').fill('Something else');
    await page.getByRole('button', { name: 'Delete everything' }).click();
    await page.getByText('Type “The glazed balcony” to confirm.').waitFor();
    await page.getByLabel('The household’s name').fill('the glazed balcony');
    await page.getByRole('button', { name: 'Delete everything' }).click();
    await page.getByText('All data is deleted.').waitFor();

    const chooser = page.locator('input[type=file]');
    await chooser.setInputFiles({ name: 'no.zip', mimeType: 'application/zip', buffer: Buffer.from('no') });
    await page.getByRole('button', { name: 'Import' }).click();
    await page.getByText('This is not a Brote package').waitFor();
    await chooser.setInputFiles({ name: 'brote.zip', mimeType: 'application/zip', buffer: before });
    await page.getByRole('button', { name: 'Import' }).click();
    await page.getByText(/Imported: \d+ sowings/).waitFor();
    const [again] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Export everything' }).click()
    ]);
    expect(readFileSync(await again.path()).equals(before)).to.equal(true);
  });

  it('imports a list of past sowings: asks once about days and names, shows what they teach, and doubles nothing', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/household/data');
    await page.getByRole('link', { name: 'Import past sowings' }).click();
    // 130 lines: two parts.
    const days = Array.from(
      { length: 128 },
      (_, index) => `Radish;${1 + (index % 9)}/${1 + (index % 4)}/2025;;mould`
    );
    const text = [
      'Crop;Sown;Harvested;Lost;Harvest (g)',
      ...days,
      'Peas;2025-03-03;2025-03-13;;120',
      'Moonweed;5/3/2025;;mould;'
    ].join('\n');
    await page.getByLabel('Or paste the list').fill(text);
    await page.getByRole('button', { name: 'Check the list' }).click();
    await page.getByText('Choose how dates are written first.').waitFor();
    await page.getByRole('radio', { name: 'day, month, year' }).check();
    await page.getByRole('heading', { name: '128 sowings to import' }).waitFor();
    await page.getByText('2 lines wait for the name of the crop.').waitFor();
    await page.getByLabel('Peas (1 line)').selectOption({ label: 'Pea shoots' });
    await page.getByLabel('Moonweed (1 line)').selectOption({ label: 'Leave out' });
    await page.getByText('1 line left out.').waitFor();
    await page.getByRole('cell', { name: '1 Jan 2025' }).first().waitFor();
    await page.getByRole('button', { name: 'See what Brote learns' }).click();
    const peas = page.getByRole('listitem').filter({ hasText: 'Pea shoots' });
    await peas
      .getByText('Nothing about its yield: it wasn’t weighed, or the container isn’t known.')
      .waitFor();
    // Choosing what they grew in lets the peas teach.
    await page.getByLabel('They grew in').selectOption({ index: 1 });
    await page.getByRole('button', { name: 'See what Brote learns' }).click();
    await peas.getByText(/^Yields .*(than the usual figures|as expected)/).waitFor();
    await expectAccessible(page);

    // Broken off after its first part, it goes on when it is sent again.
    let parts = 0;
    await page.route('**/api/data/past', (route) =>
      (parts += 1) === 2 ? route.abort('internetdisconnected') : route.continue()
    );
    await page.getByRole('button', { name: 'Import 129 sowings' }).click();
    await page
      .getByText('100 of 129 are in the notebook. Import again to add the others; none will be doubled.')
      .waitFor();
    await page.getByRole('button', { name: 'Import 129 sowings' }).click();
    await page.getByText('29 sowings imported. The other 100 were already in the notebook.').waitFor();
    await page.getByRole('button', { name: 'See what Brote learns' }).waitFor({ state: 'detached' });
  });

  it('asks what is planned shall do when the time zone changes', async () => {
    const page = await stage.page(DESK);
    await open(page, stage, '/household');
    await page.getByLabel('Time zone').selectOption('America/New_York');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page
      .getByText(
        /sowings are planned, the first for .*, 20:30\. In the new time zone that moment is .*, 14:30\./
      )
      .waitFor();
    await expectAccessible(page);
    await page.getByRole('radio', { name: 'At the same time on the clock' }).check();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByText('Saved.').waitFor();
    await open(page, stage, '/bench');
    await page.getByText(/20:30/).first().waitFor();
    await shows(page.getByText(/14:30/), 0);
  });

  it('says of a line what is wrong with it, at phone width', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/household/data/import');
    await page
      .getByLabel('Or paste the list')
      .fill('crop,sown,cut\nradish,soon,2026-03-09\nradish,2026-03-01,2026-03-09\n');
    await page.getByRole('button', { name: 'Check the list' }).click();
    await page.getByText('Line 2: “soon” isn’t a date Brote can read.').waitFor();
    await page.getByRole('heading', { name: '1 sowing to import' }).waitFor();
    await expectAccessible(page);
  });
});

describe('food past its days', () => {
  let stage: Stage;
  before(async () => {
    stage = await setStage(true);
  });
  after(() => stage.close());

  it('is offered to nobody, only to be thrown out', async () => {
    const page = await stage.page(PHONE);
    await open(page, stage, '/pantry');
    const item = page
      .getByRole('listitem')
      .filter({ hasText: /Pea shoots/ })
      .first();
    await item.getByRole('radio', { name: 'Give away' }).waitFor();
    for (let days = 1; days <= 20; days += 1) {
      if (await item.getByText('Past its date. Throw it out.').isVisible()) break;
      const clock = await page.locator('section.time strong').innerText();
      await moveOn(page, '+1 day');
      await page.locator('section.time strong', { hasText: clock }).waitFor({ state: 'detached' });
    }
    await item.getByText('Past its date. Throw it out.').waitFor();
    await page.getByText(/ · \d+ items? past (its|their) date/).waitFor();
    await shows(item.getByRole('radio', { name: 'Give away' }), 0);
    await shows(item.getByRole('button', { name: /^A handful/ }), 0);
    await expectAccessible(page);
    await item.getByText('Eaten or given away already').click();
    await item.getByRole('radio', { name: 'Eaten' }).waitFor();
    await item.getByRole('button', { name: 'Past its date' }).click();
    await page.getByText('Pea shoots: thrown out').waitFor();
  });
});
