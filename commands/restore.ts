import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import postgres from 'postgres';
import { startCluster } from './lib/cluster.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureDatabase } from './lib/database.ts';
import { ensurePostgres } from './lib/packages.ts';
import { claim } from './lib/running.ts';
import { Plain, runCommand, say } from './lib/say.ts';

/** Brings a backup into a data folder that holds no household yet: `npm run restore -- brote.dump` */
await runCommand(async () => {
  const [from] = process.argv.slice(2).filter((one) => one !== 'restore');
  if (!from) throw new Plain('Say which: npm run restore -- /srv/backups/brote.dump');
  const file = resolve(process.env.INIT_CWD ?? '.', from);
  if (!existsSync(file)) throw new Plain(`There is no file ${file}.`);
  const bin = ensurePostgres();
  const folder = dataFolder('home');
  const claimed = await claim(folder);
  const cluster = await startCluster(bin, folder, true);
  try {
    const { ownerUrl } = await ensureDatabase(cluster.adminUrl, 'brote', folder);
    await refuseToReplace(ownerUrl);
    // Into an empty one, by its owner, all or nothing; then brought up to date as at any start.
    const admin = postgres(`${cluster.adminUrl}/postgres`, { max: 1, onnotice: () => {} });
    await admin.unsafe('drop database brote with (force)');
    await admin.unsafe('create database brote owner brote_owner');
    await admin.end();
    const restored = spawnSync(
      join(bin, 'pg_restore'),
      [
        '--no-owner',
        '--role=brote_owner',
        '--single-transaction',
        '--dbname',
        `${cluster.adminUrl}/brote`,
        file
      ],
      { encoding: 'utf8' }
    );
    if (restored.status !== 0) {
      await ensureDatabase(cluster.adminUrl, 'brote', folder, true);
      throw new Plain(`This is no backup that can be brought back; nothing was changed:\n${restored.stderr}`);
    }
    await ensureDatabase(cluster.adminUrl, 'brote', folder);
  } finally {
    cluster.stop();
    claimed.release();
  }
  say('It is back. Start Brote: npm start');
});

async function refuseToReplace(ownerUrl: string): Promise<void> {
  const sql = postgres(ownerUrl, { max: 1, onnotice: () => {}, connection: { 'brote.door': 'open' } });
  try {
    const [first] = await sql<{ name: string }[]>`select name from households limit 1`;
    if (first)
      throw new Plain(
        `The household “${first.name}” is here already, and is not replaced. Move its data folder away first, or set BROTE_DATA to a new one.`
      );
  } finally {
    await sql.end();
  }
}
