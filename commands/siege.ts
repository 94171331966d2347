import { faults, laySiege, report, WHOLE } from '../test/siege/siege.ts';
import { killWorkers } from '../test/siege/workers.ts';
import { closeDb } from '../src/server/db/connection.ts';
import { startCluster } from './lib/cluster.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureDatabase, type Database } from './lib/database.ts';
import { ensurePostgres } from './lib/packages.ts';
import { serverSecrets } from './lib/serverSecrets.ts';
import { Ground } from '../test/support/started.ts';
import { freePort } from './lib/freePort.ts';
import { runCommand, say } from './lib/say.ts';

/** A database of its own on a server of its own. */
async function withDatabase<T>(work: (database: Database) => Promise<T>): Promise<T> {
  const folder = dataFolder('test');
  const cluster = await startCluster(ensurePostgres(), folder, false);
  try {
    const database = await ensureDatabase(cluster.adminUrl, 'brote_siege', folder, true);
    process.env.BROTE_APP_URL = database.appUrl;
    Object.assign(process.env, await serverSecrets(database.ownerUrl));
    return await work(database);
  } finally {
    closeDb();
    cluster.stop();
  }
}

/** Lays siege to a Brote of its own for some minutes, on this machine alone, and says how it stood. */
await runCommand(async () => {
  const ground = new Ground(await freePort());
  try {
    const siege = await laySiege(ground, WHOLE, say);
    say('');
    for (const line of report(siege)) say(line);
    const wrong = faults(siege);
    say('\nWorkers killed while they work ...');
    const killed = await withDatabase((database) => killWorkers(database, { households: 80, kills: 50 }));
    say(
      `${killed.households} households told by two workers, of which one was killed ${killed.kills} times: ${killed.lost} lost, ${killed.doubled} doubled; ${killed.repeated} came again under their own id, by which they are told apart`
    );
    if (killed.lost > 0 || killed.doubled > 0)
      wrong.push('Reminders were lost or doubled by killed workers.');
    for (const line of wrong) console.error(line);
    process.exitCode = wrong.length > 0 ? 1 : 0;
  } finally {
    await ground.clear();
  }
  process.exit();
});
