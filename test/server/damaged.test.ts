import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inspect } from 'node:util';
import { text } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { expect } from 'chai';
import postgres from 'postgres';
import { ZipFile } from 'yazl';
import { exportPackage } from '../../src/server/data/exportPackage.ts';
import { emptyHousehold } from '../../src/server/data/empty.ts';
import { importPackage, WrongRows } from '../../src/server/data/importPackage.ts';
import { NotAPackage } from '../../src/server/data/notAPackage.ts';
import { openPackage } from '../../src/server/data/openPackage.ts';
import { PACKAGE_TABLES } from '../../src/server/data/tables.ts';
import { gatherUnreadable, type Unreadable } from '../../src/server/data/sound.ts';
import { inHousehold } from '../../src/server/db/connection.ts';
import { Unavailable } from '../../src/server/db/unavailable.ts';
import { listLots } from '../../src/server/cupboard/lots.ts';
import { listPlaces } from '../../src/server/households/places.ts';
import { Busy, longWork, MOST_LONG } from '../../src/server/requests/longWork.ts';
import { startApp, type App } from '../support/app.ts';
import { anyId } from '../support/anyId.ts';
import { own, type Camp } from '../siege/camp.ts';
import { Dice } from '../siege/mutate.ts';

const LIMIT_MS = 10 * 60_000;

/** What a package holds, table by table. */
async function tablesOf(path: string): Promise<Record<string, string>> {
  const open = await openPackage(path);
  const tables: Record<string, string> = {};
  for (const { name } of PACKAGE_TABLES) tables[name] = await text((await open.table(name))!);
  open.close();
  return tables;
}

describe('damaged data', () => {
  let app: App;
  let camp: Camp;
  let id: string;
  let folder: string;
  let owner: postgres.Sql;
  before(async () => {
    app = await startApp();
    camp = await app.household('Alder');
    id = await anyId(app.database.ownerUrl);
    folder = mkdtempSync(join(tmpdir(), 'brote-test-'));
    owner = postgres(app.database.ownerUrl, {
      max: 1,
      onnotice: () => {},
      connection: { 'brote.door': 'open' }
    });
    await inHousehold(id, (tx) => exportPackage(tx, file('whole.zip')), LIMIT_MS);
  });
  after(async () => {
    await owner.end();
    rmSync(folder, { recursive: true, force: true });
    await app.close();
  });

  const file = (name: string) => join(folder, name);
  const bring = (name: string) =>
    inHousehold(id, (tx) => importPackage(tx, id, file(name)), LIMIT_MS).then(
      () => null,
      (error: unknown) => error
    );
  const archive = async (name: string, files: Record<string, string>, folders = 0) => {
    const zip = new ZipFile();
    zip.addBuffer(Buffer.from(JSON.stringify({ brote: { format: 1 } })), 'datapackage.json');
    for (const [path, content] of Object.entries(files)) zip.addBuffer(Buffer.from(content), path);
    for (let n = 0; n < folders; n += 1) zip.addEmptyDirectory(`empty-${n}`);
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(file(name)));
  };
  const page = async (path: string) =>
    app.send({ path, headers: { ...own(app.base, camp.cookie), accept: 'text/html' } });

  it('of a package is refused wherever one bit of it was turned over, or changes nothing', async () => {
    const whole = readFileSync(file('whole.zip'));
    const told = await tablesOf(file('whole.zip'));
    const dice = new Dice(7);
    let refused = 0;
    for (let flip = 0; flip < 60; flip += 1) {
      const bytes = Buffer.from(whole);
      const at = dice.upTo(bytes.length);
      bytes[at] = bytes[at]! ^ (1 << dice.upTo(8));
      writeFileSync(file('flipped.zip'), bytes);
      const error = await bring('flipped.zip');
      if (error === null) {
        // A time or a version that nobody reads: what it holds is what was exported.
        await inHousehold(id, emptyHousehold, LIMIT_MS);
        expect(await bring('flipped.zip'), `flip ${flip}`).to.equal(null);
        await inHousehold(id, (tx) => exportPackage(tx, file('again.zip')), LIMIT_MS);
        expect(await tablesOf(file('again.zip')), `flip ${flip} at ${at}`).to.deep.equal(told);
        expect(readFileSync(file('again.zip')).equals(whole), `flip ${flip} at ${at}`).to.equal(true);
      } else {
        const known = error instanceof NotAPackage || error instanceof WrongRows;
        expect(known, `flip ${flip} at ${at}: ${inspect(error)}`).to.equal(true);
        refused += 1;
      }
    }
    expect(refused).to.be.above(33);
  });

  it('of a package is refused where its list of files was cut short', async () => {
    const bytes = readFileSync(file('whole.zip'));
    // How many entries there are stands twice, ten and twelve bytes before the end.
    for (const at of [bytes.length - 14, bytes.length - 12]) bytes.writeUInt16LE(4, at);
    writeFileSync(file('short.zip'), bytes);
    expect(((await bring('short.zip')) as Error).message).to.match(/“data\/\w+\.csv” is missing/);
  });

  it('of a package is told by the name of what is damaged', async () => {
    const bytes = readFileSync(file('whole.zip'));
    const at = bytes.indexOf('data/lots.csv') + 40;
    bytes[at] = bytes[at]! ^ 255;
    writeFileSync(file('lots.zip'), bytes);
    const error = (await bring('lots.zip')) as Error;
    expect(error.message).to.match(/data\/lots\.csv/);
  });

  it('of a package is told where a table has quotes where none can be', async () => {
    await archive('quotes.zip', { 'data/lots.csv': 'id,na"me\n1,2\n' });
    expect(((await bring('quotes.zip')) as Error).message).to.match(
      /^data\/lots\.csv cannot be read as a table/
    );
  });

  it('is refused at once where an archive is full of folders', async () => {
    await archive('folders.zip', {}, 600);
    expect(((await bring('folders.zip')) as Error).message).to.include('601 files and folders');
  });

  it('is held to the rules of the forms in every value of a package', async () => {
    const place = (more: Record<string, string>) => ({
      id: randomUUID(),
      name: 'Shelf',
      position: '1',
      light_kind: 'dark',
      day_c: '20',
      night_c: '18',
      humidity_pct: '50',
      moving_air: 'true',
      rating_sure: 'false',
      ...more
    });
    const csv = (row: Record<string, string>) => {
      const cell = (text: string) => `"${text.replaceAll('"', '""')}"`;
      return `${Object.keys(row).join(',')}\n${Object.values(row).map(cell).join(',')}\n`;
    };
    const lot = {
      id: randomUUID(),
      crop_key: 'radish',
      name: 'Tin',
      weighed_g: '5',
      weighed_at: '2026-01-02T03:04:05Z'
    };
    const tray = {
      id: randomUUID(),
      name: 'Tray',
      shape: 'rectangle',
      length_cm: '25',
      width_cm: '18',
      depth_cm: '5',
      cells: '1',
      drains: 'true'
    };
    const reminder = {
      id: randomUUID(),
      key: 'k',
      kind: 'round',
      due_at: '2026-01-02T03:04:05Z',
      until_at: '2026-01-02T03:04:05Z',
      told_at: '2026-01-02T03:04:05Z'
    };
    const wrong: [string, Record<string, string>][] = [
      ['places', place({ day_c: '1e308' })],
      ['places', place({ night_c: '-1e308' })],
      ['places', place({ humidity_pct: '1e308' })],
      ['places', place({ usual_before: '[null]' })],
      ['places', place({ light_kind: 'lamp' })],
      ['containers', { ...tray, reservoir_ml: '1e308' }],
      ['containers', { ...tray, owned: '-4' }],
      ['lots', { ...lot, parts: '[]' }],
      ['lots', { ...lot, parts: '[null]' }],
      ['lots', { ...lot, parts: '[{"cropKey":"radish"}]' }],
      ['media', { id: randomUUID(), name: 'Mix', kind: 'coir', parts: '[{}]' }],
      [
        'products',
        { id: randomUUID(), name: 'Bleach', kind: 'hypochlorite', strength_pct: '5', dated_on: '2026-02-30' }
      ],
      ['methods', { key: 'own-x', name: 'Mine', answers: '{"darkness":"sideways"}' }],
      ['own_crops', { key: 'own-x', based_on: 'radish', figures: '{"key":"own-x","name":"X"}' }],
      ['eaters', { id: randomUUID(), name: 'All', g_by_weekday: '[1,2]', position: '1' }],
      ['reminders', { ...reminder, body: '{}' }],
      ['reminders', { ...reminder, body: '{"type":"round"}' }]
    ];
    for (const [table, row] of wrong) {
      await archive('wrong.zip', { [`data/${table}.csv`]: csv(row) });
      const error = await bring('wrong.zip');
      expect(error, `${table} ${JSON.stringify(row)}`).to.be.instanceOf(WrongRows);
    }
    await archive('right.zip', { 'data/places.csv': csv(place({})) });
    expect(await bring('right.zip')).to.equal(null);
  });

  it('in the database leaves the rest of a page as it is, and is named on it', async () => {
    const [{ id: lotId }] = await owner<
      [{ id: string }]
    >`select id from lots where household_id = ${id} limit 1`;
    const nonsense: [string, string, string][] = [
      ['lots', `update lots set parts = '[null]' where household_id = '${id}'`, 'lot of seed'],
      ['media', `update media set parts = '[{}]' where household_id = '${id}'`, 'medium'],
      ['places', `update places set day_c = 1e308 where household_id = '${id}'`, 'place'],
      ['containers', `update containers set reservoir_ml = 1e308 where household_id = '${id}'`, 'container']
    ];
    for (const [, statement, what] of nonsense) {
      await owner.unsafe(statement);
      let [named, isData] = [false, false];
      for (const path of [
        '/round',
        '/shelf',
        '/bench/cupboard',
        '/sow',
        '/ahead',
        `/tray/${camp.ids.sowing}`
      ]) {
        const came = await page(path);
        expect(came.status, `${what} ${path}`).to.equal(200);
        named ||= came.text.includes(`The ${what} `);
        // A page in a browser has it from its data.
        isData ||= (await page(`${path}/__data.json`)).text.includes('"fault"');
      }
      expect([named, isData], what).to.deep.equal([true, true]);
    }
    const noted: Unreadable[] = [];
    const lots = await inHousehold(id, (tx) => {
      gatherUnreadable(tx, noted);
      return listLots(tx);
    });
    expect(lots.some((lot) => lot.id === lotId)).to.equal(false);
    expect(noted.map(({ table }) => table)).to.include('lots');
    // A place that cannot be read goes by what is usual, for trays stand there.
    expect((await inHousehold(id, listPlaces)).every(({ dayC }) => dayC === 21)).to.equal(true);
  });

  it('never ends the process that exports it, and the download is no file', async () => {
    await owner`insert into readings (household_id, place_id, at, source, temp_c)
      select ${id}, id, now() - n * interval '1 second', 'hand', 20
      from places, generate_series(1, 30000) n where household_id = ${id}`;
    const admin = postgres(`${process.env.BROTE_TEST_ADMIN_URL}/postgres`, { max: 1 });
    const going = inHousehold(
      id,
      async (tx) => {
        const [{ pid }] = await tx<[{ pid: number }]>`select pg_backend_pid() as pid`;
        const exporting = exportPackage(tx, file('cut.zip'));
        await admin`select pg_terminate_backend(${pid})`;
        await exporting;
      },
      LIMIT_MS,
      'long'
    );
    const error = await going.then(
      () => null,
      (failure: unknown) => failure
    );
    await admin.end();
    expect(error).to.be.instanceOf(Unavailable);
    // Who asks for it gets an answer that is no package, from a server that goes on.
    expect((await page('/household/data/package.zip')).status).to.equal(200);
    expect((await page('/round')).status).to.equal(200);
  });

  it('is read by one import or export a household, and two at a time', async () => {
    let end = () => {};
    const gate = new Promise<void>((resolve) => (end = resolve));
    const running = Array.from({ length: MOST_LONG }, (_, n) => longWork(`home ${n}`, () => gate));
    const refusedAs = (home: string) =>
      longWork(home, () => Promise.resolve()).then(
        () => null,
        (error: Busy) => error.status
      );
    expect(await refusedAs('home 0')).to.equal(409);
    expect(await refusedAs('another')).to.equal(503);
    end();
    await Promise.all(running);
    expect(await refusedAs('home 0')).to.equal(null);
  });
});
