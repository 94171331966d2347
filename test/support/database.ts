import { randomUUID } from 'node:crypto';
import postgres from 'postgres';
import { ensureDatabase, type Database } from '../../commands/lib/database.ts';
import { serverSecrets } from '../../commands/lib/serverSecrets.ts';
import { closeDb } from '../../src/server/db/connection.ts';

/** A database that is taken away again after the tests that used it. */
export type TestDatabase = Database & { drop(): Promise<void> };

function testServer(): { adminUrl: string; folder: string } {
  const adminUrl = process.env.BROTE_TEST_ADMIN_URL;
  const folder = process.env.BROTE_TEST_FOLDER;
  if (!adminUrl || !folder) throw new Error('These tests need a server: run them with `npm test`.');
  return { adminUrl, folder };
}

async function asAdmin<T>(work: (admin: postgres.Sql) => Promise<T>): Promise<T> {
  const admin = postgres(`${testServer().adminUrl}/postgres`, { max: 1, onnotice: () => {} });
  try {
    return await work(admin);
  } finally {
    await admin.end();
  }
}

const newName = (): string => `brote_test_${randomUUID().slice(0, 8)}`;

async function use(database: Database): Promise<void> {
  process.env.BROTE_APP_URL = database.appUrl;
  Object.assign(process.env, await serverSecrets(database.ownerUrl));
}

/** A fresh database of its own on the tests' server, which the test command starts. */
export async function freshDatabase(): Promise<TestDatabase> {
  const { adminUrl, folder } = testServer();
  const name = newName();
  const database = await ensureDatabase(adminUrl, name, folder, true);
  await use(database);
  return {
    ...database,
    drop: () => {
      closeDb();
      return asAdmin(async (admin) => {
        await admin.unsafe(`drop database "${name}" with (force)`);
        await admin.unsafe(`drop role "${name}_app"`);
        await admin.unsafe(`drop role "${name}_owner"`);
      });
    }
  };
}

/** Any number, the same in every process of a run: a filled database is made by one of them. */
const FILLED_LOCK = 4_180_228;

/**
 * A copy of a database that was filled once in this run: ten weeks take three seconds to fill in, and a copy a tenth.
 * @param what names what it is filled with
 * @param fill fills the one that is copied, and tells what is to be known of it
 * @returns the copy, with what was told
 */
export async function filledDatabase(
  what: string,
  fill: (ownerUrl: string) => Promise<string>
): Promise<TestDatabase & { told: string }> {
  const { adminUrl, folder } = testServer();
  const copy = newName();
  const { made, told } = await asAdmin(async (admin) => {
    // The server is started anew for every run: what an earlier one filled was filled by older code.
    const [{ run }] = await admin<[{ run: string }]>`
      select floor(extract(epoch from pg_postmaster_start_time()))::text as run`;
    const filled = `brote_filled_${what}`;
    await admin`select pg_advisory_lock(${FILLED_LOCK})`;
    const said = async (): Promise<string[]> =>
      (
        await admin<{ said: string | null }[]>`
          select shobj_description(oid, 'pg_database') as said from pg_database where datname = ${filled}`
      )[0]?.said?.split(' ') ?? [];
    const isOfThisRun = (await said())[0] === run;
    const database = await ensureDatabase(adminUrl, filled, folder, !isOfThisRun);
    if (!isOfThisRun) {
      await use(database);
      const known = await fill(database.ownerUrl);
      closeDb();
      await admin.unsafe(`comment on database "${filled}" is '${run} ${known}'`);
    }
    await admin.unsafe(`create database "${copy}" template "${filled}" owner "${filled}_owner"`);
    const renamed = (url: string): string => Object.assign(new URL(url), { pathname: `/${copy}` }).href;
    return {
      made: { ownerUrl: renamed(database.ownerUrl), appUrl: renamed(database.appUrl) },
      told: (await said())[1] ?? ''
    };
  });
  await use(made);
  return {
    ...made,
    told,
    drop: () => {
      closeDb();
      return asAdmin(async (admin) => void (await admin.unsafe(`drop database "${copy}" with (force)`)));
    }
  };
}
