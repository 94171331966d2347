import postgres from 'postgres';

export type Sql = postgres.Sql;
export type Tx = postgres.TransactionSql;

let shared: { url: string; sql: Sql } | null = null;

/**
 * The application's connections, made on first use from `BROTE_APP_URL`, which the start command sets.
 * @throws Error where the server was started without it
 */
export function db(): Sql {
  const url = process.env.BROTE_APP_URL;
  if (!url) throw new Error('BROTE_APP_URL is not set: start Brote with `npm start`, which sets it.');
  if (shared?.url !== url) {
    void shared?.sql.end({ timeout: 2 });
    shared = { url, sql: postgres(url, { max: 10, idle_timeout: 60, onnotice: () => {} }) };
  }
  return shared.sql;
}

/** Ends the application's connections; the next use opens new ones. */
export async function closeDb(): Promise<void> {
  const ending = shared;
  shared = null;
  await ending?.sql.end({ timeout: 2 });
}

/**
 * Runs `work` in one transaction that sees one household and no other. Row-level security holds it to
 * that, whatever its queries say.
 */
export async function inHousehold<T>(householdId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return (await db().begin(async (tx) => {
    // Sent at once, ahead of the first query of `work`, which shares its round trip.
    const set = tx`select set_config('brote.household_id', ${householdId}, true)`.execute();
    const [result] = await Promise.all([work(tx), set]);
    return result;
  })) as T;
}
