import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import { addEvents } from '../../src/server/app/addEvents.ts';
import { inHousehold, outside, type Tx } from '../../src/server/db/connection.ts';
import { Unavailable } from '../../src/server/db/unavailable.ts';
import { judgeOrNote } from '../../src/server/jobs/judgeOrNote.ts';
import {
  claimHouseholds,
  holdJudging,
  MOST_TRIES,
  noteJudged,
  retrySetAside,
  setAsideSince
} from '../../src/server/reminders/judging.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { event } from '../support/household.ts';
import { Reminded } from '../support/reminded.ts';
import { until } from '../support/started.ts';

const NOON = Date.parse('2026-11-23T11:00Z');
const broken = (): Promise<number> => Promise.reject(new Error('A tray of this household is 0 cm long.'));

describe('a household whose reminders cannot be worked out', () => {
  let database: TestDatabase;
  let home: Reminded;
  const logged: unknown[] = [];
  const { error } = console;
  before(async () => {
    database = await freshDatabase();
    home = await Reminded.begin(database.ownerUrl, 'Broken', NOON);
    await home.sow();
    console.error = (...said: unknown[]) => void logged.push(said);
  });
  after(async () => {
    console.error = error;
    await database.drop();
  });

  const row = async () => {
    const [found] = await inHousehold(
      home.id,
      (tx) =>
        tx<
          { failures: number; fault: string | null; wait_s: number; never: boolean }[]
        >`select failures, fault,
          coalesce(extract(epoch from nullif(judge_at, 'infinity') - now()), 0)::float8 as wait_s,
          judge_at = 'infinity' as never
        from judging where household_id = current_household()`
    );
    return found!;
  };

  it('is tried again after longer and longer, and set aside in the end', async () => {
    const waits: number[] = [];
    for (let n = 1; n < MOST_TRIES; n += 1) {
      expect(await judgeOrNote(home.id, broken)).to.equal(0);
      const { failures, fault, wait_s, never } = await row();
      expect([failures, fault, never]).to.deep.equal([n, 'A tray of this household is 0 cm long.', false]);
      waits.push(wait_s);
    }
    for (let n = 2; n < waits.length; n += 1) expect(waits[n]).to.be.above(waits[n - 2]! * 1.5);
    expect(await inHousehold(home.id, setAsideSince)).to.equal(null);
    await judgeOrNote(home.id, broken);
    expect((await row()).never).to.equal(true);
    expect(await inHousehold(home.id, setAsideSince)).to.be.closeTo(Date.now(), 60_000);
    expect(await claimHouseholds(100)).not.to.include(home.id);
    expect(logged).to.have.length(MOST_TRIES);
    expect(String(logged.at(-1)))
      .to.include(home.id)
      .and.to.include('set aside');
  });

  it('is tried again where something in it changes, and when a worker starts', async () => {
    await home.sow();
    expect((await row()).never).to.equal(false);
    await judgeOrNote(home.id, broken);
    expect((await row()).never).to.equal(true);
    expect(await retrySetAside()).to.deep.include({
      householdId: home.id,
      fault: 'A tray of this household is 0 cm long.'
    });
    expect(await claimHouseholds(100)).to.include(home.id);
  });

  it('starts afresh once it was judged', async () => {
    expect(await judgeOrNote(home.id)).to.be.at.least(1);
    const { failures, fault } = await row();
    expect([failures, fault]).to.deep.equal([0, null]);
    expect(await inHousehold(home.id, setAsideSince)).to.equal(null);
    await inHousehold(home.id, (tx) => noteJudged(tx, NOON, Infinity));
    expect(await outside(() => retrySetAside())).to.deep.equal([]);
  });

  it('is not blamed for a database that is away', async () => {
    const away = () => Promise.reject(new Unavailable('it did not answer in time'));
    const failed = await judgeOrNote(home.id, away).catch((thrown: unknown) => thrown);
    expect(failed).to.be.instanceOf(Unavailable);
    expect((await row()).failures).to.equal(0);
  });
});

describe('judging a household that changes meanwhile', () => {
  let database: TestDatabase;
  let home: Reminded;
  before(async () => {
    database = await freshDatabase();
    home = await Reminded.begin(database.ownerUrl, 'Changing', NOON);
  });
  after(() => database.drop());

  /** Judges it, and changes it between its being read and its being told. */
  async function judgeAcross(change: (tx: Tx) => Promise<unknown>): Promise<number> {
    let judged: Promise<number> | undefined;
    await inHousehold(home.id, async (tx) => {
      await holdJudging(tx);
      judged = home.judge();
      // From outside: a transaction sees the activity of when it first looked.
      const waiting = async () => {
        const [row] = await outside(
          (sql) => sql<{ n: number }[]>`select count(*)::int as n from pg_stat_activity
            where wait_event_type = 'Lock' and datname = current_database()`
        );
        return row!.n;
      };
      await until(waiting, (n) => n > 0);
      await change(tx);
    });
    return judged!;
  }

  it('reads it again after a write that came in between', async () => {
    const trayId = await home.sow();
    const end = event(20, { type: 'ended', reason: 'dried-out' }, { id: randomUUID() });
    expect(await judgeAcross((tx) => addEvents(tx, home.id, trayId, [end]))).to.equal(0);
  });

  it('goes by what it read if nothing changed', async () => {
    await home.sow();
    expect(await judgeAcross(() => Promise.resolve())).to.be.at.least(1);
  });
});
