import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { startCluster } from './lib/cluster.ts';
import { dumpTo } from './lib/dump.ts';
import { existingDataFolder } from './lib/dataFolder.ts';
import { ensurePostgres } from './lib/packages.ts';
import { Plain, runCommand, say } from './lib/say.ts';

/** Writes all of the private database into one file, while Brote runs or not: `npm run backup -- brote.dump` */
await runCommand(async () => {
  const [to] = process.argv.slice(2).filter((one) => one !== 'backup');
  if (!to) throw new Plain('Say where to: npm run backup -- /srv/backups/brote.dump');
  const file = resolve(process.env.INIT_CWD ?? '.', to);
  if (existsSync(file)) throw new Plain(`${file} is there already: choose another name.`);
  const bin = ensurePostgres();
  const cluster = await startCluster(bin, existingDataFolder('home'), true);
  try {
    dumpTo(bin, cluster.adminUrl, file);
  } finally {
    if (cluster.begun) cluster.stop();
  }
  say(`All of it is in ${file}. Take it to another disk.`);
});
