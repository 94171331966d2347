import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import postgres from 'postgres';
import { migrate } from '../../src/server/db/migrate.ts';
import { Plain } from './say.ts';

/** A database ready to be used: the owner's address for migrations, the application's for all else. */
export interface Database {
  ownerUrl: string;
  appUrl: string;
}

function withParts(url: string, parts: { user?: string; password?: string; database?: string }): string {
  const made = new URL(url);
  if (parts.user !== undefined) made.username = encodeURIComponent(parts.user);
  if (parts.password !== undefined) made.password = encodeURIComponent(parts.password);
  if (parts.database !== undefined) made.pathname = `/${parts.database}`;
  return made.href;
}

/** A generated secret that is kept, readable by its owner alone. */
export function keptSecret(file: string): string {
  if (!existsSync(file)) writeFileSync(file, randomBytes(24).toString('base64url'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

/** Makes a role that can sign in and nothing more, or gives it this password where it is there. */
async function ensureRole(sql: postgres.Sql, role: string, password: string): Promise<void> {
  const [there] = await sql`select 1 from pg_roles where rolname = ${role}`;
  const verb = there ? 'alter' : 'create';
  await sql.unsafe(
    `${verb} role "${role}" login nosuperuser nocreatedb nocreaterole nobypassrls password '${password}'`
  );
}

/**
 * In a cluster of ours: a database, a role that owns it, and one that the application signs in as.
 * @param fresh drops a database of that name first
 */
export async function ensureDatabase(
  adminUrl: string,
  name: string,
  folder: string,
  fresh = false
): Promise<Database> {
  const admin = postgres(withParts(adminUrl, { database: 'postgres' }), { max: 1, onnotice: () => {} });
  const owner = `${name}_owner`;
  const app = `${name}_app`;
  const ownerSecret = keptSecret(join(folder, 'owner-secret'));
  const appSecret = keptSecret(join(folder, 'app-secret'));
  try {
    await ensureRole(admin, owner, ownerSecret);
    await ensureRole(admin, app, appSecret);
    if (fresh) await admin.unsafe(`drop database if exists "${name}" with (force)`);
    const [there] = await admin`select 1 from pg_database where datname = ${name}`;
    if (!there) await admin.unsafe(`create database "${name}" owner "${owner}"`);
  } finally {
    await admin.end();
  }
  const database = {
    ownerUrl: withParts(adminUrl, { user: owner, password: ownerSecret, database: name }),
    appUrl: withParts(adminUrl, { user: app, password: appSecret, database: name })
  };
  await migrate(database.ownerUrl, app);
  return database;
}

/** On the operator's server: migrates with the rights of `DATABASE_URL`, and makes the application's role there. */
export async function operatorsDatabase(url: string, folder: string): Promise<Database> {
  const name = decodeURIComponent(new URL(url).pathname.slice(1));
  const given = process.env.DATABASE_APP_URL;
  const app = given ? decodeURIComponent(new URL(given).username) : `${name}_app`;
  const sql = postgres(url, { max: 1, onnotice: () => {}, connect_timeout: 10 });
  const secret = keptSecret(join(folder, 'operator-app-secret'));
  try {
    if (!given) await ensureRole(sql, app, secret);
  } catch (error) {
    const code = (error as { code?: string }).code;
    if (code === '42501')
      throw new Plain(
        `The role in DATABASE_URL may not make other roles. Make one by hand and name it in DATABASE_APP_URL:\n` +
          `  create role "${app}" login password '...';`
      );
    throw new Plain(
      `The database server in DATABASE_URL cannot be used: ${(error as Error).message}. Check the address, name and password.`
    );
  } finally {
    await sql.end({ timeout: 2 });
  }
  await migrate(url, app);
  return { ownerUrl: url, appUrl: given ?? withParts(url, { user: app, password: secret }) };
}
