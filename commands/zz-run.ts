
import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { startCluster } from './lib/cluster.ts';
import { ensurePostgres } from './lib/packages.ts';
import { ensureBuild } from './lib/build.ts';
const folder = mkdtempSync('/tmp/zz-');
chmodSync(folder, 0o755);
const cluster = await startCluster(ensurePostgres(), folder, false);
if (false) ensureBuild();
const ran = spawnSync('node', ['node_modules/mocha/bin/mocha.js', ...["test/server/*.test.ts"]], { stdio: 'inherit', env: { ...process.env, BROTE_TEST_ADMIN_URL: cluster.adminUrl, BROTE_TEST_FOLDER: folder, CHROMIUM: '/usr/bin/chromium', NGINX: '/usr/sbin/nginx' } });
cluster.stop();
rmSync(folder, { recursive: true, force: true });
process.exit(ran.status ?? 1);
