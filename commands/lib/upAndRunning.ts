import type { Server } from 'node:http';
import { closeDb } from '../../src/server/db/connection.ts';
import { ensureBuild } from './build.ts';
import { startCluster, type Cluster } from './cluster.ts';
import { dataFolder, type DataName } from './dataFolder.ts';
import { ensureDatabase, operatorsDatabase, type Database } from './database.ts';
import { ensurePostgres } from './packages.ts';
import { claim } from './running.ts';
import { say } from './say.ts';
import { serve, webAddress } from './web.ts';

interface Options {
  data: DataName;
  /** Fills the database before anyone is let in. */
  fill?: (database: Database) => Promise<void>;
  /** Begins with an empty database every time. */
  fresh?: boolean;
  /** What is to be done once it is served. */
  serving?: (url: string) => Promise<void>;
  greeting: (url: string) => string;
}

/** Brings everything up, says where, and takes it down again on Ctrl-C. */
export async function upAndRunning({ data, fill, fresh, serving, greeting }: Options): Promise<void> {
  const { host, port } = webAddress();
  const folder = dataFolder(data);
  const claimed = claim(folder);
  let cluster: Cluster | null = null;
  let server: Server | null = null;
  const down = () => {
    cluster?.stop();
    claimed.release();
  };
  // From the first moment on: Ctrl-C while it still starts takes down what was started so far.
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    say('\nStopping ...');
    server?.close();
    server?.closeAllConnections();
    void closeDb().finally(() => {
      down();
      process.exit(0);
    });
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop);
  try {
    ensureBuild();
    const database = await openDatabase();
    process.env.BROTE_APP_URL = database.appUrl;
    if (fill) await fill(database);
    const served = await serve(host, port);
    server = served.server;
    claimed.announce(served.url);
    await serving?.(served.url);
    say(`\n${greeting(served.url)}\nCtrl-C stops it.`);
  } catch (error) {
    // What Ctrl-C broke off is no failure.
    if (stopping) return;
    down();
    throw error;
  }

  async function openDatabase(): Promise<Database> {
    const given = process.env.DATABASE_URL;
    if (given && data === 'home') return operatorsDatabase(given, folder);
    cluster = await startCluster(ensurePostgres(), folder, data === 'home');
    return ensureDatabase(cluster.adminUrl, 'brote', folder, fresh);
  }
}
