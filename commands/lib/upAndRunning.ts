import { closeDb } from '../../src/server/db/connection.ts';
import { ensureBuild } from './build.ts';
import { startCluster, type Cluster } from './cluster.ts';
import { dataFolder, type DataName } from './dataFolder.ts';
import { ensureDatabase, operatorsDatabase, type Database } from './database.ts';
import { ensurePostgres } from './packages.ts';
import { claim } from './running.ts';
import { say } from './say.ts';
import { serverSecrets } from './serverSecrets.ts';
import { Service, watchOver } from './supervise.ts';
import { baseOf, rolesOf, webAddress } from './web.ts';

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

/**
 * Brings everything up, says where, keeps it up, and takes it down again on Ctrl-C. The web server and the private
 * database are processes of their own, and so is the worker; whichever ends is started again.
 */
export async function upAndRunning({ data, fill, fresh, serving, greeting }: Options): Promise<void> {
  const listening = webAddress();
  const roles = rolesOf();
  const folder = dataFolder(data);
  let cluster: Cluster | null = null;
  const services: Service[] = [];
  let unwatch = () => {};
  let release = () => {};
  const down = () => {
    unwatch();
    cluster?.stop();
    release();
  };
  // From the first moment on: Ctrl-C while it still starts takes down what was started so far.
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    say('\nStopping ...');
    unwatch();
    closeDb();
    endServices()
      .catch((error: unknown) => console.error(error))
      .finally(() => {
        down();
        process.exit(0);
      });
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop);
  try {
    const claimed = await claim(folder);
    release = claimed.release;
    ensureBuild();
    const database = await openDatabase();
    process.env.BROTE_APP_URL = database.appUrl;
    Object.assign(process.env, await serverSecrets(database.ownerUrl));
    if (fill) await fill(database);
    closeDb();
    const served = roles.includes('web') ? await Service.web(listening) : null;
    if (served) services.push(served.web);
    const base = baseOf(served?.url ?? null);
    if (roles.includes('worker')) services.push(await Service.worker(base));
    if (cluster) unwatch = watchOver(cluster, moved);
    const url = served?.url ?? base;
    claimed.announce(url);
    await serving?.(url);
    closeDb();
    say(`\n${greeting(url)}\nCtrl-C stops it.`);
  } catch (error) {
    // What Ctrl-C broke off is no failure.
    if (stopping) return;
    await endServices();
    down();
    throw error;
  }

  async function endServices(): Promise<void> {
    await Promise.all(services.map((service) => service.end()));
  }

  async function openDatabase(): Promise<Database> {
    const given = process.env.DATABASE_URL;
    if (given && data === 'home') return operatorsDatabase(given, folder);
    cluster = await startCluster(ensurePostgres(), folder, data === 'home');
    process.env.BROTE_DATABASE_FOLDER = folder;
    return ensureDatabase(cluster.adminUrl, 'brote', folder, fresh);
  }

  /** The database came back on another port: who uses it learns that by being started again. */
  function moved(): void {
    const address = new URL(process.env.BROTE_APP_URL ?? '');
    address.port = new URL(cluster?.adminUrl ?? address).port;
    process.env.BROTE_APP_URL = address.href;
    for (const service of services) service.renew();
  }
}
