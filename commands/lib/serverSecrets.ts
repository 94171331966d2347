import { randomBytes } from 'node:crypto';
import postgres from 'postgres';
import webpush from 'web-push';

/**
 * What this Brote signs with, made at its first start: kept in the database, where its owner alone can read it, so that
 * several processes, and a Brote that was restored elsewhere, are known by the same keys.
 * @param ownerUrl of the role that owns the tables
 * @returns as environment for the processes that serve and send
 */
export async function serverSecrets(ownerUrl: string): Promise<Record<string, string>> {
  const sql = postgres(ownerUrl, { max: 1, onnotice: () => {} });
  try {
    await sql`create schema if not exists brote_meta`;
    await sql`create table if not exists brote_meta.secrets (name text primary key, value text not null)`;
    const { publicKey, privateKey } = webpush.generateVAPIDKeys();
    const made = {
      BROTE_SECRET: randomBytes(32).toString('base64url'),
      BROTE_VAPID: `${publicKey} ${privateKey}`
    };
    for (const [name, value] of Object.entries(made))
      await sql`insert into brote_meta.secrets (name, value) values (${name}, ${value}) on conflict do nothing`;
    const rows = await sql<{ name: string; value: string }[]>`select name, value from brote_meta.secrets`;
    const kept = Object.fromEntries(rows.map(({ name, value }) => [name, value]));
    const [vapidPublic = '', vapidPrivate = ''] = (kept.BROTE_VAPID ?? '').split(' ');
    return {
      BROTE_SECRET: kept.BROTE_SECRET ?? '',
      BROTE_VAPID_PUBLIC: vapidPublic,
      BROTE_VAPID_PRIVATE: vapidPrivate
    };
  } finally {
    await sql.end();
  }
}
