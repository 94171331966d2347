import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import postgres from 'postgres';
import { migrate } from '../../src/server/db/migrate.ts';
import { inHousehold, outside } from '../../src/server/db/connection.ts';
import { addEvents } from '../../src/server/app/addEvents.ts';
import { readLog } from '../../src/core/sowing/record.ts';
import { addSowing, findSowing, listEnded, listUnderWay } from '../../src/server/sowings/sowings.ts';
import { listPlaces } from '../../src/server/households/places.ts';
import { listContainers } from '../../src/server/sowings/containers.ts';
import { changeHousehold, moveClock } from '../../src/server/households/household.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { refusal } from '../support/refusal.ts';
import { event, radishTray, sown, SOWN } from '../support/household.ts';
import { household, settings } from '../support/settings.ts';

const TABLES = [
  'households',
  'members',
  'sessions',
  'places',
  'containers',
  'sowings',
  'events',
  'attempts',
  'known_browsers',
  'lots',
  'media',
  'products',
  'methods',
  'own_crops',
  'devices',
  'readings',
  'air',
  'judging',
  'reminders',
  'channels',
  'deliveries',
  'feeds',
  'calendar',
  'invites',
  'away',
  'sitters',
  'turns',
  'prices',
  'eaters',
  'tastes',
  'standing_orders',
  'standing_order_days'
];

describe('the database', () => {
  let database: TestDatabase;
  let one: { id: string; placeId: string };
  let other: { id: string; placeId: string };
  before(async () => {
    database = await freshDatabase();
    one = await household('Upstairs');
    other = await household('Downstairs');
  });
  after(() => database.drop());

  const sow = async (home: { id: string; placeId: string }, id = randomUUID()) => {
    const setup = radishTray({ id, placeId: home.placeId });
    await inHousehold(home.id, (tx) =>
      addSowing(tx, home.id, setup, { memberId: null, at: SOWN, containerId: randomUUID() })
    );
    return id;
  };

  it('is migrated once, by however many processes at a time', async () => {
    const role = new URL(database.appUrl).username;
    const runs = await Promise.all([1, 2, 3].map(() => migrate(database.ownerUrl, role)));
    expect(runs).to.deep.equal([[], [], []]);
    const owner = postgres(database.ownerUrl, { max: 1 });
    const rows = await owner`select name from brote_meta.migrations`;
    expect(rows.map(({ name }) => name as string)).to.deep.equal([
      '0001_foundation.sql',
      '0002_bench.sql',
      '0003_learning.sql',
      '0004_air.sql',
      '0005_door.sql',
      '0006_one_container.sql',
      '0007_reminders.sql',
      '0008_people.sql',
      '0009_pantry.sql',
      '0010_as_it_was.sql',
      '0011_ahead.sql',
      '0012_marked_last.sql',
      '0013_to_light.sql',
      '0014_telling.sql',
      '0015_limits.sql',
      '0016_people.sql',
      '0017_readings.sql',
      '0018_reading.sql',
      '0019_mix_parts.sql',
      '0020_stack_of.sql',
      '0021_slips.sql',
      '0022_marks.sql',
      '0023_past.sql',
      '0024_variety.sql',
      '0025_order_blend.sql',
      '0026_judging_faults.sql',
      '0027_products.sql',
      '0028_languages.sql',
      '0029_displays.sql'
    ]);
    await owner`insert into brote_meta.migrations (name) values ('9999_from_the_future.sql')`;
    expect(await refusal(migrate(database.ownerUrl, role))).to.include('newer Brote');
    await owner`delete from brote_meta.migrations where name like '9999%'`;
    await owner.end();
  });

  it('has a household and row-level security on every table', async () => {
    const rows = await outside(
      (sql) => sql<{ table: string; secured: boolean; owned: boolean }[]>`
      select c.relname as table, c.relrowsecurity as secured, pg_get_userbyid(c.relowner) = current_user as owned
      from pg_class c where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace`
    );
    expect(rows.map(({ table }) => table)).to.have.members(TABLES);
    expect(rows.every(({ secured, owned }) => secured && !owned)).to.equal(true);
    const columns = await outside(
      (sql) => sql<{ table_name: string }[]>`
      select relname as table_name from pg_attribute a join pg_class c on c.oid = a.attrelid
      where c.relkind = 'r' and c.relnamespace = 'public'::regnamespace and a.attname = 'household_id'`
    );
    expect(columns.map(({ table_name }) => table_name)).to.have.members(TABLES);
    const [role] = await outside(
      (sql) =>
        sql`select rolsuper, rolbypassrls, rolcreaterole, rolcreatedb from pg_roles where rolname = current_user`
    );
    expect(Object.values(role!)).to.deep.equal([false, false, false, false]);
  });

  it('shows a request its own household and nothing of another', async () => {
    const id = await sow(one);
    await inHousehold(one.id, (tx) => addEvents(tx, one.id, id, [sown()]));
    expect(await inHousehold(other.id, (tx) => findSowing(tx, id))).to.equal(null);
    expect(await inHousehold(other.id, (tx) => tx`select * from events`)).to.have.length(0);
    expect(await inHousehold(other.id, listPlaces)).to.have.length(1);
    expect(await outside((sql) => sql`select * from sowings`)).to.have.length(0);
    expect(await outside((sql) => sql`select name from households`)).to.have.length(0);
  });

  it('refuses to write into another household', async () => {
    const id = await sow(one);
    const foreign = inHousehold(other.id, (tx) => addEvents(tx, one.id, id, [sown()]));
    expect(await refusal(foreign)).to.include('row-level security');
    // With its own household on the row, the sowing is not there to hang it on.
    const dangling = inHousehold(other.id, (tx) => addEvents(tx, other.id, id, [sown()]));
    expect(await refusal(dangling)).to.include('foreign key');
  });

  it('only ever adds events', async () => {
    const id = await sow(one);
    await inHousehold(one.id, (tx) => addEvents(tx, one.id, id, [sown()]));
    expect(await refusal(inHousehold(one.id, (tx) => tx`update events set at = now()`))).to.include(
      'permission denied'
    );
    expect(await refusal(inHousehold(one.id, (tx) => tx`delete from events`))).to.include(
      'permission denied'
    );
    expect(await refusal(inHousehold(one.id, (tx) => tx`update sowings set seed_g = 1`))).to.include(
      'permission denied'
    );
    expect(await refusal(outside((sql) => sql`select * from brote_meta.migrations`))).to.include(
      'permission denied'
    );
    expect(await refusal(inHousehold(one.id, (tx) => tx`select * from attempts`))).to.include(
      'permission denied'
    );
  });

  it('keeps a sowing and an event sent twice as one', async () => {
    const id = await sow(one);
    await sow(one, id);
    const twice = event(5, { type: 'watered', waterG: 50 });
    for (let n = 0; n < 2; n += 1) await inHousehold(one.id, (tx) => addEvents(tx, one.id, id, [twice]));
    const record = await inHousehold(one.id, (tx) => findSowing(tx, id));
    expect(readLog(record!)).to.deep.equal([twice]);
  });

  it('takes one event from two who send it at once', async () => {
    const id = await sow(one);
    const tick = event(5, { type: 'sown', waterG: 300 }, { taskKey: 'sow' });
    await Promise.all([1, 2, 3, 4].map(() => inHousehold(one.id, (tx) => addEvents(tx, one.id, id, [tick]))));
    expect(readLog((await inHousehold(one.id, (tx) => findSowing(tx, id)))!)).to.have.length(1);
  });

  it('lets two households use the same id without meeting', async () => {
    const id = await sow(one);
    await sow(other, id);
    const [mine, theirs] = await Promise.all(
      [one, other].map((home) => inHousehold(home.id, (tx) => findSowing(tx, id)))
    );
    expect(mine!.setup.placeId).to.equal(one.placeId);
    expect(theirs!.setup.placeId).to.equal(other.placeId);
  });

  it('gives back what was planned, to the millisecond', async () => {
    const id = randomUUID();
    const setup = radishTray({
      id,
      placeId: one.placeId,
      germinationPct: 81.5,
      count: 3,
      soakStartAt: SOWN - 1_234_567,
      soakEndAt: SOWN - 1_000
    });
    await inHousehold(one.id, (tx) =>
      addSowing(tx, one.id, setup, { memberId: null, at: SOWN, containerId: randomUUID() })
    );
    expect((await inHousehold(one.id, (tx) => findSowing(tx, id)))!.setup).to.deep.equal({
      ...setup,
      // Three trays alike bear numbers: the first that are free.
      trayNo: 7
    });
  });

  it('keeps one container of a shape and size', async () => {
    await sow(one);
    await sow(one);
    expect(await inHousehold(one.id, listContainers)).to.have.length(1);
  });

  it('lists what is under way and what has ended, as the events say', async () => {
    const home = await household('Next door');
    const id = await sow(home);
    const given = (events: Parameters<typeof addEvents>[3]) =>
      inHousehold(home.id, (tx) => addEvents(tx, home.id, id, events));
    const lists = () =>
      inHousehold(home.id, async (tx) => [(await listUnderWay(tx)).length, (await listEnded(tx, 10)).length]);
    expect(await lists()).to.deep.equal([1, 0]);
    const end = event(90, { type: 'ended', reason: 'other' });
    await given([sown(), end]);
    expect(await lists()).to.deep.equal([0, 1]);
    await given([event(91, { type: 'undone', eventId: end.id })]);
    expect(await lists()).to.deep.equal([1, 0]);
  });

  it('moves the clock of a demo alone', async () => {
    await inHousehold(one.id, (tx) => moveClock(tx, 1000));
    const [row] = await inHousehold(one.id, (tx) => tx`select clock_ahead_ms from households`);
    expect(Number(row!.clock_ahead_ms)).to.equal(0);
  });

  it('refuses a household a name that is taken, however it is written', async () => {
    const renamed = inHousehold(other.id, (tx) => changeHousehold(tx, settings('  UPSTAIRS ')));
    expect(await refusal(renamed)).to.include('unique');
  });
});
