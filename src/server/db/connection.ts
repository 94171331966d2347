import postgres from 'postgres';
import { isId } from '../../shared/text.ts';
import { guarded, Stretch, type Guarded } from './guard.ts';
import { isLost, isPassing, Unavailable } from './unavailable.ts';

/** One household's transaction, or a query outside of any household. */
export type Tx = Guarded;

/** How long anything may take; past it the person is told to try again, and others are let on. */
export const LIMITS = {
  /** For a connection: all of them may be in use. */
  waitMs: 4000,
  /** For one statement, which PostgreSQL ends itself. */
  statementMs: 8000,
  /** For a lock that another request holds. */
  lockMs: 5000,
  /** For a whole transaction. */
  transactionMs: 15_000
};

/** Connections at most; small, as a household's server is, and as a PostgreSQL shared with others allows. */
const MOST = 10;

interface Pool {
  url: string;
  sql: postgres.Sql;
}

let shared: Pool | null = null;

/**
 * The application's connections, made on first use from `BROTE_APP_URL`, which the start command sets.
 * @throws Error where the server was started without it
 */
function pool(): Pool {
  const url = process.env.BROTE_APP_URL;
  if (!url) throw new Error('BROTE_APP_URL is not set: start Brote with `npm start`, which sets it.');
  if (shared && shared.url !== url) retire(shared);
  shared ??= {
    url,
    sql: postgres(url, {
      max: MOST,
      idle_timeout: 60,
      connect_timeout: LIMITS.waitMs / 1000,
      onnotice: () => {},
      connection: {
        application_name: 'brote',
        statement_timeout: LIMITS.statementMs,
        lock_timeout: LIMITS.lockMs,
        idle_in_transaction_session_timeout: LIMITS.transactionMs
      }
    })
  };
  return shared;
}

/**
 * Lets a pool go: the next request opens new connections, those under way end as they can.
 *
 * After any loss, for Postgres.js (3.4.9) keeps what it had not written yet and sends it ahead of the greeting of
 * the next connection, which then never comes about; and it leaves a wait for a connection that failed in its
 * queue, which then takes one for nobody.
 */
function retire(old: Pool): void {
  if (shared === old) shared = null;
  void old.sql.end({ timeout: LIMITS.transactionMs / 1000 });
}

/** Ends the application's connections; the next use opens new ones. */
export async function closeDb(): Promise<void> {
  const ending = shared;
  shared = null;
  await ending?.sql.end({ timeout: 2 });
}

/** Rejects with {@link Unavailable} where `work` is not done in time; what it does is not stopped by that. */
function within<T>(ms: number, what: string, work: Promise<T>, late?: (done: T) => void): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    let isLate = false;
    const timer = setTimeout(() => {
      isLate = true;
      reject(new Unavailable(what));
    }, ms);
    work.then(
      (done) => {
        clearTimeout(timer);
        if (isLate) late?.(done);
        else resolve(done);
      },
      (error: unknown) => {
        clearTimeout(timer);
        reject(error as Error);
      }
    );
  });
}

/** What the person is told: that it may be tried again, where it may. */
function told(error: unknown, from: Pool): unknown {
  if (isLost(error) || (error as Unavailable | null)?.cause) retire(from);
  if (error instanceof Unavailable || !isPassing(error)) return error;
  return new Unavailable((error as Error).message, { cause: error });
}

/**
 * Runs queries that belong to no household: whose a token is, whether anyone is here yet. Row-level security lets
 * them see nothing but through the functions made for that.
 * @throws Unavailable where the database does not answer in time
 */
export async function outside<T>(
  work: (sql: Tx) => Promise<T>,
  limitMs = LIMITS.waitMs + LIMITS.statementMs
): Promise<T> {
  const from = pool();
  const stretch = new Stretch();
  try {
    return await within(
      limitMs,
      'it did not answer in time',
      Promise.resolve(work(guarded(from.sql, stretch)))
    );
  } catch (error) {
    throw told(error, from);
  }
}

/**
 * Runs `work` in one transaction that sees one household and no other. Row-level security holds it to that,
 * whatever its queries say. The transaction begins and is told its household in one message, before anything of
 * `work` is sent.
 * @param householdId a UUID
 * @param limitMs how long the whole of it may take
 * @throws Unavailable where the database is away, busy or too slow; then nothing of it was kept, or all
 */
export async function inHousehold<T>(
  householdId: string,
  work: (tx: Tx) => Promise<T>,
  limitMs = LIMITS.transactionMs
): Promise<T> {
  if (!isId(householdId)) throw new TypeError('A household is named by a UUID.');
  const from = pool();
  try {
    const connection = await within(LIMITS.waitMs, 'all connections are in use', from.sql.reserve(), (late) =>
      late.release()
    );
    return await transact(connection, householdId, work, limitMs);
  } catch (error) {
    throw told(error, from);
  }
}

async function transact<T>(
  connection: postgres.ReservedSql,
  householdId: string,
  work: (tx: Tx) => Promise<T>,
  limitMs: number
): Promise<T> {
  const stretch = new Stretch();
  const tx = guarded(connection, stretch);
  const run = async (): Promise<T> => {
    // One message, so that it costs one round trip; the id is a UUID and nothing else.
    await tx.unsafe(`begin; select set_config('brote.household_id', '${householdId}', true)`);
    const done = await work(tx);
    await stretch.quiet();
    if (stretch.failed) throw stretch.failed;
    await tx.unsafe('commit');
    return done;
  };
  const running = run();
  try {
    const done = await within(limitMs, 'a transaction took too long', running);
    connection.release();
    return done;
  } catch (error) {
    void settle(connection, stretch, error instanceof Unavailable ? running : null);
    if (stretch.over?.cause) throw stretch.over;
    throw error;
  }
}

/** Takes a failed transaction back and the connection with it, once nothing is under way on it. */
async function settle(
  connection: postgres.ReservedSql,
  stretch: Stretch,
  running: Promise<unknown> | null
): Promise<void> {
  // What still runs past its time must not send anything more, nor commit.
  if (running) stretch.over ??= new Unavailable('a transaction took too long');
  await running?.catch(() => {});
  await stretch.quiet();
  // A connection that is lost is no more the pool's to have back.
  if (stretch.over?.cause) return;
  try {
    await connection.unsafe('rollback');
    connection.release();
  } catch {
    // Lost at the last: gone with its pool.
  }
}
