import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { buildSync, type BuildOptions } from 'esbuild';
import { newest } from './newest.ts';
import { Plain, say } from './say.ts';

const SOURCES = [
  'src',
  'static',
  'commands/bundle',
  'commands/lib',
  'package-lock.json',
  'svelte.config.js',
  'vite.config.ts'
];

const BUNDLED: BuildOptions = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  sourcemap: true,
  logLevel: 'warning'
};

/** What runs by itself has every message at hand. */
const SAYS: BuildOptions = { inject: ['src/messages/every.ts'] };

/** The program of the web server and of the worker, once built. */
export const SERVICE_FILE = 'build/service.js';

/** Builds the web application and its processes if they were not built yet or their sources changed since. */
export function ensureBuild(): void {
  const stamp = 'build/built';
  if (existsSync(stamp) && statSync(stamp).mtimeMs > Math.max(...SOURCES.map((path) => newest(path)))) return;
  say('Building the application (once, and after it changed) ...');
  const built = spawnSync('node', ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'error'], {
    encoding: 'utf8',
    env: { ...process.env, NODE_ENV: 'production' }
  });
  if (built.status !== 0)
    throw new Plain(`The application could not be built:\n${built.stdout}${built.stderr}`);
  // Read file by file as it is written, a process takes seconds to start.
  buildSync({ ...BUNDLED, entryPoints: ['commands/lib/serviceProcess.ts'], outfile: SERVICE_FILE });
  writeFileSync(stamp, '');
}

const BENCH_FOLDER = 'build/bench';

/**
 * Builds what measures, so that it runs as the built server does and not as it is loaded file by file.
 * @returns the path of its module
 */
export function buildBench(): string {
  rmSync(BENCH_FOLDER, { recursive: true, force: true });
  const entryPoints = ['bench', 'benchWorker'].map((name) => `commands/lib/${name}.ts`);
  buildSync({ ...BUNDLED, ...SAYS, entryPoints, splitting: true, outdir: BENCH_FOLDER });
  return resolve(BENCH_FOLDER, 'bench.js');
}

/** Where the tests stand once built, folder by folder as in `test`. */
export const TESTS_FOLDER = 'build/tests';

/** Builds the tests: loaded file by file as they are written, what they compute takes twice as long. */
export function buildTests(): void {
  rmSync(TESTS_FOLDER, { recursive: true, force: true });
  const entryPoints = readdirSync('test', { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.test.ts'))
    .map((name) => join('test', name));
  buildSync({ ...BUNDLED, ...SAYS, entryPoints, splitting: true, outdir: TESTS_FOLDER, outbase: 'test' });
}
