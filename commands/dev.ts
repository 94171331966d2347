import { spawn } from 'node:child_process';
import { seedDemo } from '../src/server/demo/seedDemo.ts';
import { closeDb } from '../src/server/db/connection.ts';
import { startCluster } from './lib/cluster.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureDatabase } from './lib/database.ts';
import { ensurePostgres } from './lib/packages.ts';
import { runCommand, say } from './lib/say.ts';
import { serverSecrets } from './lib/serverSecrets.ts';

// The demo's data behind Vite's server, which shows a change to the sources at once.
await runCommand(async () => {
  const folder = dataFolder('dev');
  const cluster = await startCluster(ensurePostgres(), folder, false);
  const database = await ensureDatabase(cluster.adminUrl, 'brote', folder, true);
  process.env.BROTE_APP_URL = database.appUrl;
  Object.assign(process.env, await serverSecrets(database.ownerUrl));
  await seedDemo(Date.now(), database.ownerUrl);
  closeDb();
  say('The demo’s data is ready. Ctrl-C stops both servers.');
  const vite = spawn(
    'node',
    [
      'node_modules/vite/bin/vite.js',
      'dev',
      '--host',
      process.env.HOST || '127.0.0.1',
      '--port',
      process.env.PORT || '4180'
    ],
    {
      stdio: 'inherit',
      env: { ...process.env, BROTE_DEMO: '1' }
    }
  );
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
    process.on(signal, () => vite.kill('SIGTERM'));
  vite.on('exit', (code) => {
    cluster.stop();
    process.exit(code ?? 0);
  });
});
