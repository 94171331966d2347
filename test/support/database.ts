import { randomUUID } from 'node:crypto';
import postgres from 'postgres';
import { ensureDatabase, type Database } from '../../commands/lib/database.ts';
import { serverSecrets } from '../../commands/lib/serverSecrets.ts';
import { closeDb } from '../../src/server/db/connection.ts';

/** A fresh database of its own on the tests' server, which the test command starts. */
export async function freshDatabase(): Promise<Database & { drop(): Promise<void> }> {
  const adminUrl = process.env.BROTE_TEST_ADMIN_URL;
  const folder = process.env.BROTE_TEST_FOLDER;
  if (!adminUrl || !folder) throw new Error('These tests need a server: run them with `npm test`.');
  const name = `brote_test_${randomUUID().slice(0, 8)}`;
  const database = await ensureDatabase(adminUrl, name, folder, true);
  process.env.BROTE_APP_URL = database.appUrl;
  Object.assign(process.env, await serverSecrets(database.ownerUrl));
  return {
    ...database,
    drop: async () => {
      closeDb();
      const admin = postgres(`${adminUrl}/postgres`, { max: 1, onnotice: () => {} });
      await admin.unsafe(`drop database "${name}" with (force)`);
      await admin.unsafe(`drop role "${name}_app"`);
      await admin.unsafe(`drop role "${name}_owner"`);
      await admin.end();
    }
  };
}
