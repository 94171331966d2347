import { buildTests, ensureBuild } from './lib/build.ts';
import { startCluster } from './lib/cluster.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { mocha, run, type Count } from './lib/mocha.ts';
import { ensureChromium, ensureNginx, ensurePostgres, ensureSystemdAnalyze } from './lib/packages.ts';
import { runCommand, say } from './lib/say.ts';
import { PATIENCE, TEST_MS } from '../test/support/patience.ts';

/** A check that passes or fails as a whole. */
async function whole(name: string, steps: [program: string, ...args: string[]][]): Promise<Count> {
  for (const [program, ...args] of steps)
    if ((await run(program, args)).code !== 0) {
      say(`\n${name}: failed`);
      return { passed: 0, failed: 1, said: `${name}: failed` };
    }
  say(`\n${name}: passed`);
  return { passed: 1, failed: 0 };
}

await runCommand(async () => {
  const chromium = ensureChromium();
  const bin = ensurePostgres();
  const programs = { CHROMIUM: chromium, NGINX: ensureNginx(), SYSTEMD_ANALYZE: ensureSystemdAnalyze() };
  const counts: Count[] = [];
  await run('@sveltejs/kit/svelte-kit.js', ['sync']);
  ensureBuild();
  buildTests();
  const folder = dataFolder('test');
  const cluster = await startCluster(bin, folder, false);
  const env = {
    BROTE_TEST_ADMIN_URL: cluster.adminUrl,
    BROTE_TEST_FOLDER: folder,
    BROTE_PATIENCE: String(PATIENCE),
    ...programs
  };
  // A server's tests wait for it to start more than they compute, and a browser waits for its server: all run side by side,
  // so that two cores are kept busy.
  const still = async () => {
    counts.push(
      await whole('Lint', [
        ['eslint/bin/eslint.js', '.', '--max-warnings', '0'],
        ['prettier/bin/prettier.cjs', '--check', '.', '--log-level', 'warn']
      ])
    );
    counts.push(
      await whole('Types', [
        ['typescript/bin/tsc', '-p', 'src/core'],
        ['typescript/bin/tsc', '-p', 'commands'],
        ['svelte-check/bin/svelte-check', '--fail-on-warnings', '--threshold', 'warning']
      ])
    );
    counts.push(await mocha('core'), await mocha('ui'));
  };
  try {
    const running = ['server', 'browser'].map((folder) =>
      mocha(folder, env, { jobs: 2, timeoutMs: TEST_MS }).then((count) => counts.push(count))
    );
    await Promise.all([still(), ...running]);
  } finally {
    cluster.stop();
  }
  const sum = (of: 'passed' | 'failed') => counts.reduce((total, count) => total + count[of], 0);
  for (const { said } of counts) if (said) say(`\n${said}`);
  say(`\n${sum('passed')} passed, ${sum('failed')} failed`);
  process.exitCode = sum('failed') > 0 ? 1 : 0;
});
