import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import postgres from 'postgres';
import { startCluster } from './lib/cluster.ts';
import { bringBack, dumpTo } from './lib/dump.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureDatabase } from './lib/database.ts';
import { ensurePostgres } from './lib/packages.ts';
import { claim } from './lib/running.ts';
import { Plain, runCommand, say } from './lib/say.ts';

/**
 * Brings a backup into a data folder that holds no household yet: `npm run restore -- brote.dump`. With `--force` into one
 * that does: what stood there is kept aside as a backup of its own first.
 */
await runCommand(async () => {
  const words = process.argv.slice(2).filter((one) => one !== 'restore');
  const force = words.includes('--force');
  const [from] = words.filter((one) => one !== '--force');
  if (!from) throw new Plain('Say which: npm run restore -- /srv/backups/brote.dump');
  const file = resolve(process.env.INIT_CWD ?? '.', from);
  if (!existsSync(file)) throw new Plain(`There is no file ${file}.`);
  const bin = ensurePostgres();
  const folder = dataFolder('home');
  const claimed = await claim(folder);
  const cluster = await startCluster(bin, folder, true);
  try {
    const { ownerUrl } = await ensureDatabase(cluster.adminUrl, 'brote', folder);
    const name = await householdThere(ownerUrl);
    if (name !== null && !force)
      throw new Plain(
        `The household “${name}” is here already, and is not replaced. Set BROTE_DATA to a new folder, or add --force: then what is here is kept aside first.`
      );
    const aside = name === null ? null : asideIn(folder);
    if (aside) {
      dumpTo(bin, cluster.adminUrl, aside);
      say(`What stood here is kept in ${aside}.`);
    }
    const restored = await bringBack(bin, cluster.adminUrl, file);
    if (restored.status !== 0) {
      await ensureDatabase(cluster.adminUrl, 'brote', folder, true);
      if (aside) await bringBack(bin, cluster.adminUrl, aside);
      throw new Plain(`This is no backup that can be brought back; nothing was changed:\n${restored.stderr}`);
    }
    await ensureDatabase(cluster.adminUrl, 'brote', folder);
  } finally {
    cluster.stop();
    claimed.release();
  }
  say('It is back. Start Brote: npm start');
});

/** Where what stood here is kept: a file that is not there yet. */
function asideIn(folder: string): string {
  const day = new Date().toISOString().slice(0, 10);
  for (let no = 1; ; no += 1) {
    const file = join(folder, `aside-${day}-${no}.dump`);
    if (!existsSync(file)) return file;
  }
}

/** The household whose data are here; null for none. */
async function householdThere(ownerUrl: string): Promise<string | null> {
  const sql = postgres(ownerUrl, { max: 1, onnotice: () => {}, connection: { 'brote.door': 'open' } });
  try {
    const [first] = await sql<{ name: string }[]>`select name from households limit 1`;
    return first?.name ?? null;
  } finally {
    await sql.end();
  }
}
