import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import postgres from 'postgres';
import { inHousehold, LIMITS, outside, type Tx } from '../../src/server/db/connection.ts';
import { Unavailable } from '../../src/server/db/unavailable.ts';
import { freshDatabase, type TestDatabase } from '../support/database.ts';
import { refusal } from '../support/refusal.ts';
import { household } from '../support/settings.ts';
import { until } from '../support/started.ts';

/** What a piece of work failed with. */
const failure = (work: Promise<unknown>): Promise<unknown> =>
  work.then(
    () => null,
    (error: unknown) => error
  );

describe('the connection', () => {
  let database: TestDatabase;
  let admin: postgres.Sql;
  let home: string;
  const usual = { ...LIMITS };
  /** Errors that no promise caught: each would have ended the server. */
  const uncaught: unknown[] = [];
  const note = (error: unknown) => uncaught.push(error);
  before(async () => {
    database = await freshDatabase();
    home = (await household('Upstairs')).id;
    admin = postgres(`${process.env.BROTE_TEST_ADMIN_URL}/postgres`, { max: 1, onnotice: () => {} });
    process.on('uncaughtException', note);
  });
  afterEach(() => {
    Object.assign(LIMITS, usual);
    expect(uncaught.splice(0)).to.deep.equal([]);
  });
  after(async () => {
    process.off('uncaughtException', note);
    await admin.end();
    await database.drop();
  });

  const ping = () => inHousehold(home, (tx) => tx`select current_setting('brote.household_id') as id`);
  /** Ends every connection of the application, as an operator or a crash would. */
  const kill = () => admin`select pg_terminate_backend(pid) from pg_stat_activity
    where application_name = 'brote' and datname = ${new URL(database.appUrl).pathname.slice(1)}`;

  it('tells each transaction its household before anything else is asked', async () => {
    const other = (await household('Downstairs')).id;
    const seen = await Promise.all(
      Array.from({ length: 200 }, async (_, n) => {
        const id = n % 2 === 0 ? home : other;
        const [first] = await inHousehold(
          id,
          (tx) =>
            tx<
              { name: string; id: string }[]
            >`select name, current_setting('brote.household_id') as id from households`
        );
        return first!.id === id && first!.name === (id === home ? 'Upstairs' : 'Downstairs');
      })
    );
    expect(seen.every(Boolean)).to.equal(true);
  });

  it('refuses undefined, dates and numbers that are none, wherever they stand, and goes on', async () => {
    const missing = undefined as unknown as string;
    const bad: ((tx: Tx) => Promise<unknown>)[] = [
      (tx) => tx`select ${missing}::text`,
      (tx) => tx`select 1 where ${tx`${missing}::text is null`}`,
      (tx) => tx`insert into members ${tx({ household_id: home, id: missing, name: 'x', name_key: 'x' })}`,
      (tx) => tx`insert into members ${tx([{ household_id: home, id: missing, name: 'x', name_key: 'x' }])}`,
      (tx) => tx`select ${new Date(NaN)}::timestamptz`,
      (tx) => tx`select ${NaN}::float8`,
      (tx) => tx`select ${[1, missing] as number[]}::int[]`,
      (tx) => tx`select ${tx.json(missing)}`,
      // Laid behind one that is under way, as the pages do.
      (tx) => Promise.all([tx`select pg_sleep(0.02)`, tx`select ${missing}::text`])
    ];
    // Many more than there are connections: not one of them may be lost to it.
    for (let turn = 0; turn < 3; turn += 1)
      for (const [index, work] of bad.entries()) {
        const said = await refusal(inHousehold(home, work));
        expect(said, String(index)).to.match(/was given/);
        const alone = await refusal(outside(work));
        expect(alone, String(index)).to.match(/was given/);
      }
    const all = await Promise.all(Array.from({ length: 30 }, ping));
    expect(all.every(([row]) => row!.id === home)).to.equal(true);
  });

  it('does not compile with undefined as a parameter', async () => {
    const maybe: { id?: string } = {};
    // @ts-expect-error what may be undefined is no parameter
    expect(await refusal(outside((sql) => sql`select ${maybe.id}::text`))).to.match(/was given undefined/);
  });

  it('refuses a household that is no UUID, so that nothing else is ever laid into the message', async () => {
    for (const id of ["'; drop table events; --", '', 'x', `${home}'`])
      expect(await refusal(inHousehold(id, () => Promise.resolve(1)))).to.include('UUID');
  });

  it('takes back all of a transaction of which one query failed, even where nobody minded', async () => {
    const id = randomUUID();
    const careless = inHousehold(home, async (tx) => {
      await tx`insert into members (household_id, id, name, name_key) values (${home}, ${id}, 'Mar', 'mar')`;
      await tx`select 1 / 0`.catch(() => {});
      return 'all is well';
    });
    expect(await refusal(careless)).to.include('division by zero');
    expect(await inHousehold(home, (tx) => tx`select 1 from members where id = ${id}`)).to.have.length(0);
  });

  it('answers that it may be tried again where its connections are killed under it, and goes on', async () => {
    let [done, passing, other] = [0, 0, 0];
    let killing = true;
    const killer = (async () => {
      for (let n = 0; n < 40; n += 1) await kill();
      killing = false;
    })();
    await Promise.all(
      Array.from({ length: 8 }, async () => {
        while (killing) {
          const failed = await failure(
            inHousehold(home, async (tx) => {
              await tx`select pg_sleep(0.001)`;
              await Promise.all([tx`select 1`, tx`select 2`]);
            })
          );
          if (failed === null) done += 1;
          else if (failed instanceof Unavailable) passing += 1;
          else other += 1;
        }
      })
    );
    await killer;
    expect(other).to.equal(0);
    expect(passing).to.be.above(0);
    expect(done + passing).to.be.above(8);
    const back = await until(
      () => ping().catch(() => null),
      (row) => row !== null
    );
    expect(back![0]!.id).to.equal(home);
  });

  it('sends nothing over a connection that was lost, whatever its transaction still wants', async () => {
    const ids = [randomUUID(), randomUUID()];
    const late = inHousehold(home, async (tx) => {
      await kill();
      await tx`select 1`.catch(() => {});
      // The transaction is gone, and its household with it: none of this may reach the database.
      await new Promise((resolve) => setImmediate(resolve));
      await tx`insert into members (household_id, id, name, name_key) values (${home}, ${ids[0]!}, 'A', 'a')`.catch(
        () => {}
      );
      await until(
        () => ping().catch(() => null),
        (row) => row !== null
      );
      await tx`insert into members (household_id, id, name, name_key) values (${home}, ${ids[1]!}, 'B', 'b')`;
    });
    expect(await failure(late)).to.be.instanceOf(Unavailable);
    expect(
      await inHousehold(home, (tx) => tx`select 1 from members where id = any (${ids}::uuid[])`)
    ).to.have.length(0);
  });

  it('gives up a transaction in time, and what it held is free again', async () => {
    LIMITS.transactionMs = 200;
    const slow = await failure(inHousehold(home, (tx) => tx`select pg_sleep(60)`));
    expect(slow).to.be.instanceOf(Unavailable);
    Object.assign(LIMITS, usual);
    const after = await Promise.all(Array.from({ length: 30 }, ping));
    expect(after.every(([row]) => row!.id === home)).to.equal(true);
  });

  it('refuses who has waited too long in line while all connections are in use, and serves the others', async () => {
    await Promise.all(Array.from({ length: 10 }, ping));
    let open = () => {};
    const gate = new Promise<void>((resolve) => (open = resolve));
    let inside = 0;
    const held = Array.from({ length: 10 }, () =>
      inHousehold(home, async (tx) => {
        inside += 1;
        await gate;
        return tx`select 1`;
      })
    );
    await until(
      () => Promise.resolve(inside),
      (count) => count === 10
    );
    expect(inside).to.equal(10);
    LIMITS.waitMs = 100;
    const refused = await Promise.all([failure(ping()), failure(ping())]);
    for (const one of refused) expect(one).to.be.instanceOf(Unavailable);
    LIMITS.waitMs = usual.waitMs;
    const waiting = ping();
    open();
    expect((await Promise.all(held)).every((rows) => rows.length === 1)).to.equal(true);
    expect((await waiting)[0]!.id).to.equal(home);
  });

  it('has PostgreSQL itself end what runs too long', async () => {
    const limits = await outside(
      (sql) => sql<{ name: string; setting: string }[]>`select name, setting from pg_settings
        where name in ('statement_timeout', 'lock_timeout', 'idle_in_transaction_session_timeout') order by name`
    );
    expect(limits.map(({ setting }) => Number(setting))).to.deep.equal([
      LIMITS.transactionMs,
      LIMITS.lockMs,
      LIMITS.statementMs
    ]);
  });

  it('commits nothing once its time is up', async () => {
    LIMITS.transactionMs = 150;
    const id = randomUUID();
    const late = await failure(
      inHousehold(home, async (tx) => {
        await tx`insert into members (household_id, id, name, name_key) values (${home}, ${id}, 'Late', 'late')`;
        // Longer than a statement may take: however slow the machine, it is not committed first.
        await tx`select pg_sleep(60)`;
      })
    );
    expect(late).to.be.instanceOf(Unavailable);
    Object.assign(LIMITS, usual);
    expect(await inHousehold(home, (tx) => tx`select 1 from members where id = ${id}`)).to.have.length(0);
  });

  it('says so at once where there is no database, and finds it when it is back', async () => {
    const url = process.env.BROTE_APP_URL!;
    const nowhere = new URL(url);
    nowhere.port = '1';
    process.env.BROTE_APP_URL = nowhere.href;
    for (let n = 0; n < 15; n += 1) {
      expect(await failure(ping())).to.be.instanceOf(Unavailable);
      expect(await failure(outside((sql) => sql`select 1`))).to.be.instanceOf(Unavailable);
    }
    process.env.BROTE_APP_URL = url;
    expect((await ping())[0]!.id).to.equal(home);
  });
});
