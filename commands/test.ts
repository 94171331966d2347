import { spawn } from 'node:child_process';
import { buildTests, ensureBuild, TESTS_FOLDER } from './lib/build.ts';
import { startCluster } from './lib/cluster.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureChromium, ensureNginx, ensurePostgres, ensureSystemdAnalyze } from './lib/packages.ts';
import { runCommand, say } from './lib/say.ts';
import { PATIENCE, TEST_MS } from '../test/support/patience.ts';

interface Count {
  passed: number;
  failed: number;
  /** What failed, as it was printed: said once more at the end, for the middle of a long run is easily lost. */
  said?: string;
}

/** Of a run that broke off, so much of its end is told again. */
const BROKE_OFF_CHARS = 2000;

/** Runs a program of the project's packages, and shows what it printed once it is done: two run at a time. */
function run(
  program: string,
  args: string[],
  env: Record<string, string> = {}
): Promise<{ code: number; output: string }> {
  return new Promise((resolve) => {
    const child = spawn('node', [`node_modules/${program}`, ...args], {
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe']
    });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk: Buffer) => (output += chunk.toString()));
    child.on('close', (code) => {
      process.stdout.write(output);
      resolve({ code: code ?? 1, output });
    });
  });
}

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

/** A folder of tests; a run that breaks off without saying how many failed counts as one failure. */
async function mocha(
  folder: string,
  env: Record<string, string> = {},
  { jobs = 1, timeoutMs = 0 }: { jobs?: number; timeoutMs?: number } = {}
): Promise<Count> {
  const { code, output } = await run(
    'mocha/bin/mocha.js',
    [
      `${TESTS_FOLDER}/${folder}/**/*.test.js`,
      '--no-config',
      '--forbid-only',
      '--timeout',
      String(timeoutMs),
      '--color',
      ...(jobs > 1 ? ['--parallel', '--jobs', String(jobs)] : [])
    ],
    { ...env, NODE_OPTIONS: '--enable-source-maps' }
  );
  const plain = output.replace(/\u001b\[[0-9;]*m/g, '');
  const number = (word: string) => Number(new RegExp(`^\\s*(\\d+) ${word}`, 'm').exec(plain)?.[1] ?? 0);
  const failed = number('failing');
  // Where a promise is never kept, a run may end in silence and without a word of what passed.
  if (code === 0 && failed === 0 && number('passing') > 0) return { passed: number('passing'), failed };
  const from = plain.search(/^\s*\d+ failing$/m);
  const said = from < 0 ? `${folder} broke off:\n${plain.slice(-BROKE_OFF_CHARS)}` : plain.slice(from);
  return { passed: number('passing'), failed: Math.max(1, failed), said: `${folder}:\n${said}` };
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
