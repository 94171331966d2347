import { spawnSync } from 'node:child_process';
import { existsSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { startCluster } from './lib/cluster.ts';
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
  const beside = `${file}.part`;
  try {
    const dumped = spawnSync(
      join(bin, 'pg_dump'),
      ['--format=custom', '--no-owner', '--file', beside, `${cluster.adminUrl}/brote`],
      { encoding: 'utf8' }
    );
    if (dumped.status !== 0) throw new Plain(`The backup could not be made:\n${dumped.stderr}`);
    renameSync(beside, file);
  } finally {
    rmSync(beside, { force: true });
    if (cluster.begun) cluster.stop();
  }
  say(`All of it is in ${file}. Take it to another disk.`);
});
