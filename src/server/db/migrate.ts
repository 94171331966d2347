import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import postgres from 'postgres';

/** Any number, the same in every process: whoever holds it migrates, the others wait and find it done. */
const LOCK = 4_180_223;

/** From the project's folder, in which every command runs. */
const MIGRATIONS = 'src/server/db/migrations';

/**
 * Brings a database up to date: runs every numbered SQL file that has not been run, in order, each in a
 * transaction. Safely called from several processes at once.
 * @param url of the role that owns the tables
 * @param appRole the role that the application signs in as; it must exist
 * @returns the names of the files that were run
 * @throws Error where the database is newer than these files
 */
export async function migrate(url: string, appRole: string): Promise<string[]> {
  const files = (await readdir(MIGRATIONS)).filter((name) => name.endsWith('.sql')).sort();
  const sql = postgres(url, { max: 1, onnotice: () => {} });
  try {
    await sql`select pg_advisory_lock(${LOCK})`;
    await sql`create schema if not exists brote_meta`;
    await sql`create table if not exists brote_meta.migrations (name text primary key, run_at timestamptz not null default now())`;
    const done = new Set(
      (await sql<{ name: string }[]>`select name from brote_meta.migrations`).map(({ name }) => name)
    );
    const unknown = [...done].find((name) => !files.includes(name));
    if (unknown)
      throw new Error(
        `This database was made by a newer Brote (it has run ${unknown}). Start that version instead.`
      );
    const due = files.filter((name) => !done.has(name));
    for (const name of due) {
      const text = await readFile(join(MIGRATIONS, name), 'utf8');
      await sql.begin(async (tx) => {
        await tx`select set_config('brote.app_role', ${appRole}, true), set_config('brote.door', 'open', true)`;
        await tx.unsafe(text);
        await tx`insert into brote_meta.migrations (name) values (${name})`;
      });
    }
    return due;
  } finally {
    await sql.end();
  }
}
