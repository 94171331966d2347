import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { expect } from 'chai';
import postgres from 'postgres';
import { ZipFile } from 'yazl';
import { inHousehold } from '../../src/server/db/connection.ts';
import { emptyHousehold } from '../../src/server/data/empty.ts';
import { exportPackage } from '../../src/server/data/exportPackage.ts';
import { importPackage, WrongRows } from '../../src/server/data/importPackage.ts';
import { NotAPackage } from '../../src/server/data/notAPackage.ts';
import { openPackage } from '../../src/server/data/openPackage.ts';
import { LEFT_OUT, PACKAGE_TABLES } from '../../src/server/data/tables.ts';
import { plainCell, safeCell } from '../../src/server/data/cells.ts';
import { saveOrder } from '../../src/server/ahead/orders.ts';
import { seedDemo } from '../../src/server/demo/seedDemo.ts';
import { listPlaces } from '../../src/server/households/places.ts';
import { listContainerStock } from '../../src/server/sowings/containers.ts';
import { listSowings } from '../../src/server/sowings/sowings.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { household } from '../support/settings.ts';

const NOW = Date.parse('2026-11-23T14:40Z');
const LIMIT_MS = 60_000;

describe('the open package of a household', () => {
  let database: TestDatabase;
  let demo: string;
  let folder: string;
  before(async () => {
    database = await freshDatabase();
    demo = await seedDemo(NOW, database.ownerUrl);
    await inHousehold(demo, async (tx) => {
      const [[container], [place]] = await Promise.all([listContainerStock(tx), listPlaces(tx)]);
      await saveOrder(tx, demo, {
        id: randomUUID(),
        parts: [
          { cropKey: 'kale', lotId: null, share: 2 },
          { cropKey: 'radish', lotId: null, share: 1 }
        ],
        shareOf: 'count',
        containerId: container!.id,
        count: 1,
        medium: 'coir',
        mediumId: null,
        methodKey: 'press-and-dome',
        placeId: place!.id,
        ownSeedG: null,
        rule: { kind: 'every', days: 9 },
        fromDay: '2026-11-23'
      });
    });
    folder = mkdtempSync(join(tmpdir(), 'brote-test-'));
  });
  after(async () => {
    rmSync(folder, { recursive: true, force: true });
    await database.drop();
  });

  const file = (name: string) => join(folder, name);
  const taken = async (id: string, name: string): Promise<Buffer> => {
    await inHousehold(id, (tx) => exportPackage(tx, file(name)), LIMIT_MS);
    return readFileSync(file(name));
  };
  const bring = (id: string, name: string) =>
    inHousehold(id, (tx) => importPackage(tx, id, file(name)), LIMIT_MS);
  const refused = async (id: string, name: string): Promise<NotAPackage | WrongRows> => {
    try {
      await bring(id, name);
    } catch (error) {
      if (error instanceof NotAPackage || error instanceof WrongRows) return error;
      throw error;
    }
    throw new Error('It was taken.');
  };
  /** All rows of all tables as the owner sees them, of one household, but for what is of the machine. */
  const rowsOf = async (id: string, tables: readonly string[]) => {
    const sql = postgres(database.ownerUrl, {
      max: 1,
      onnotice: () => {},
      connection: { 'brote.door': 'open' }
    });
    try {
      const all: Record<string, unknown[]> = {};
      for (const table of tables)
        all[table] = await sql.unsafe(
          `select to_jsonb(t) - 'seq' - 'token_hash' as row from ${table} t where household_id = '${id}' order by 1`
        );
      return all;
    } finally {
      await sql.end();
    }
  };
  const archive = async (name: string, files: Record<string, string | Buffer>) => {
    const zip = new ZipFile();
    for (const [path, content] of Object.entries(files)) zip.addBuffer(Buffer.from(content), path);
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(file(name)));
  };
  const about = (format: number) => JSON.stringify({ brote: { format } });

  it('holds every column of every table, or says that it leaves it out', async () => {
    const sql = postgres(database.ownerUrl, { max: 1, onnotice: () => {} });
    const columns = await sql<{ table: string; column: string }[]>`
      select table_name as table, column_name as column from information_schema.columns
      where table_schema = 'public' and column_name <> 'household_id'`;
    await sql.end();
    const known = new Set([
      ...PACKAGE_TABLES.flatMap(({ name, fields, without }) =>
        [...Object.keys(fields), ...without].map((column) => `${name}.${column}`)
      )
    ]);
    const missed = columns.filter(
      ({ table, column }) => !(table in LEFT_OUT) && !known.has(`${table}.${column}`)
    );
    expect(missed).to.deep.equal([]);
    const there = new Set(columns.map(({ table, column }) => `${table}.${column}`));
    expect([...known].filter((one) => !there.has(one))).to.deep.equal([]);
  });

  it('is the same to the byte, exported, emptied and brought back; and nothing is lost', async () => {
    const first = await taken(demo, 'first.zip');
    expect((await taken(demo, 'again.zip')).equals(first)).to.equal(true);
    const tables = [...PACKAGE_TABLES.map(({ name }) => name), 'air'];
    const before = await rowsOf(demo, tables);
    expect(before.events!.length).to.be.above(500);

    await inHousehold(demo, emptyHousehold, LIMIT_MS);
    const emptied = await rowsOf(demo, ['sowings', 'events', 'readings', 'places', 'lots']);
    expect(Object.values(emptied).every((rows) => rows.length === 0)).to.equal(true);

    const imported = await bring(demo, 'first.zip');
    expect(imported.settings).to.equal(true);
    expect((await taken(demo, 'back.zip')).equals(first)).to.equal(true);
    // What follows from it was worked out anew, by code that the package never saw.
    const after = await rowsOf(demo, tables);
    for (const table of tables) expect(after[table], table).to.deep.equal(before[table]);

    const twice = await bring(demo, 'first.zip');
    expect(twice.settings).to.equal(false);
    for (const { name, added } of twice.tables) expect(added, name).to.equal(0);
    expect(await rowsOf(demo, tables)).to.deep.equal(before);
  });

  it('goes into another household whose people and containers are called the same', async () => {
    await taken(demo, 'demo.zip');
    const other = await household('Downstairs');
    const imported = await bring(other.id, 'demo.zip');
    expect(imported.tables.find(({ name }) => name === 'sowings')!.added).to.be.above(20);
    const [here, there] = await Promise.all(
      [demo, other.id].map((id) => inHousehold(id, (tx) => listSowings(tx)))
    );
    expect(there!.map(({ setup }) => setup.id)).to.deep.equal(here!.map(({ setup }) => setup.id));
    expect(there!.map(({ log }) => log)).to.deep.equal(here!.map(({ log }) => log));
    // The first household has lost nothing by that.
    expect((await taken(demo, 'after.zip')).equals(readFileSync(file('demo.zip')))).to.equal(true);
  });

  it('has no secret in it, and no household', async () => {
    const package_ = await openPackage(file('demo.zip'));
    for (const { name } of PACKAGE_TABLES) {
      let text = '';
      for await (const part of (await package_.table(name))!) text += String(part);
      expect(text.split('\n')[0], name).not.to.match(/hash|token|household_id/);
      expect(text, name).not.to.include(demo);
    }
    package_.close();
  });

  it('is refused where it is none, is newer, climbs out or swells', async () => {
    const { id } = await household('Attic');
    writeFileSync(file('none.zip'), 'nothing of the kind');
    expect((await refused(id, 'none.zip')).message).to.include('not a Brote package');
    await archive('newer.zip', { 'datapackage.json': about(99) });
    expect((await refused(id, 'newer.zip')).message).to.include('newer Brote');
    await archive('other.zip', { 'datapackage.json': about(1), 'data/secrets.csv': 'a\n1\n' });
    expect((await refused(id, 'other.zip')).message).to.include('no Brote package has');
    // A name that climbs: yazl writes none, so its bytes are changed to one of the same length.
    await archive('climbs.zip', { 'datapackage.json': about(1), 'aa/aa/passwd': 'x' });
    const bytes = readFileSync(file('climbs.zip'))
      .toString('latin1')
      .replaceAll('aa/aa/passwd', '../../passwd');
    writeFileSync(file('climbs.zip'), Buffer.from(bytes, 'latin1'));
    expect((await refused(id, 'climbs.zip')).message).to.include('points outside of it');
    await archive('swells.zip', {
      'datapackage.json': about(1),
      'data/events.csv': Buffer.alloc(40 * 1024 * 1024, 'a')
    });
    expect((await refused(id, 'swells.zip')).message).to.include('unpacks to more');
  });

  it('takes nothing where a row is wrong, and says which', async () => {
    const { id } = await household('Shed');
    const columns = Object.keys(PACKAGE_TABLES.find(({ name }) => name === 'lots')!.fields);
    const row = (crop: string, weighed: string, bought = '') =>
      columns
        .map(
          (column) =>
            ({
              id: '00000000-0000-4000-8000-0000000000a1',
              crop_key: crop,
              name: 'Tin',
              weighed_g: weighed,
              bought_on: bought,
              weighed_at: '2026-01-02T03:04:05Z'
            })[column] ?? ''
        )
        .join(',');
    await archive('wrong.zip', {
      'datapackage.json': about(1),
      'data/lots.csv': [
        columns.join(','),
        row('radish', '100'),
        row('moonweed', '100'),
        row('radish', '1,5')
      ].join('\n')
    });
    const error = await refused(id, 'wrong.zip');
    // A decimal comma makes one column more than the first line names.
    expect(error).to.be.instanceOf(NotAPackage);
    await archive('wrong.zip', {
      'datapackage.json': about(1),
      'data/lots.csv': [
        columns.join(','),
        row('radish', '100'),
        row('moonweed', '100'),
        row('radish', 'much'),
        // Days that no calendar has, or no database.
        row('radish', '100', '2026-02-30'),
        row('radish', '100', '0000-01-01')
      ].join('\n')
    });
    const wrong = await refused(id, 'wrong.zip');
    if (!(wrong instanceof WrongRows)) throw wrong;
    expect(wrong.rows.map(({ line }) => line)).to.deep.equal([3, 4, 5, 6]);
    expect(wrong.rows[0]!.say).to.include('moonweed');
    expect(await inHousehold(id, (tx) => tx`select * from lots`)).to.have.length(0);
  });

  it('keeps texts from being taken for formulas, and gives each back as it was', () => {
    for (const text of ['=1+1', '+4', '-2', '@a', "'=1", "''=1", "'plain", 'plain', '\tx', ''])
      expect(plainCell(safeCell(text)), text).to.equal(text);
    for (const text of ['=1+1', '+4', '-2', '@a', '\tx']) expect(safeCell(text)[0], text).to.equal("'");
  });
});
