import { faults, laySiege, report, WHOLE } from '../test/siege/siege.ts';
import { killWorkers } from '../test/siege/workers.ts';
import { closeDb } from '../src/server/db/connection.ts';
import { startCluster } from './lib/cluster.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureDatabase, type Database } from './lib/database.ts';
import { buildTests, ensureBuild } from './lib/build.ts';
import { mocha } from './lib/mocha.ts';
import { ensurePostgres, ensureSystemdAnalyze } from './lib/packages.ts';
import { PATIENCE, TEST_MS } from '../test/support/patience.ts';
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

/** Attacks a Brote of its own, from outside. @returns what it did not stand */
async function siege(): Promise<string[]> {
  const ground = new Ground(await freePort());
  try {
    const laid = await laySiege(ground, WHOLE, say);
    say('');
    for (const line of report(laid)) say(line);
    return faults(laid);
  } finally {
    await ground.clear();
  }
}

/** Kills workers while they work. @returns what was lost or doubled by that */
async function workers(): Promise<string[]> {
  say('\nWorkers killed while they work ...');
  const killed = await withDatabase((database) => killWorkers(database, { households: 80, kills: 50 }));
  say(
    `${killed.households} households told by two workers, of which one was killed ${killed.kills} times: ${killed.lost} lost, ${killed.doubled} doubled; ${killed.repeated} came again under their own id, by which they are told apart`
  );
  return killed.lost > 0 || killed.doubled > 0 ? ['Reminders were lost or doubled by killed workers.'] : [];
}

/** Tests that start real servers over and over: on old data, full disks, and after being killed. */
async function starts(): Promise<string[]> {
  const bin = ensurePostgres();
  ensureBuild();
  buildTests();
  const folder = dataFolder('test');
  const cluster = await startCluster(bin, folder, false);
  try {
    const { said } = await mocha(
      'siege',
      {
        BROTE_TEST_ADMIN_URL: cluster.adminUrl,
        BROTE_TEST_FOLDER: folder,
        BROTE_PATIENCE: String(PATIENCE),
        SYSTEMD_ANALYZE: ensureSystemdAnalyze()
      },
      { timeoutMs: TEST_MS }
    );
    return said ? [said] : [];
  } finally {
    cluster.stop();
  }
}

const PARTS = { siege, workers, starts };

await runCommand(async () => {
  // All of it, or the parts that are named: `npm run siege -- starts`.
  const named = process.argv.slice(3);
  const wrong: string[] = [];
  for (const [name, part] of Object.entries(PARTS))
    if (named.length === 0 || named.includes(name)) wrong.push(...(await part()));
  for (const line of wrong) console.error(line);
  process.exit(wrong.length > 0 ? 1 : 0);
});
