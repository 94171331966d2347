import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Plain, say } from './say.ts';

const SOURCES = [
  'src',
  'static',
  'commands/bundle',
  'package-lock.json',
  'svelte.config.js',
  'vite.config.ts'
];

function newest(path: string): number {
  if (!existsSync(path)) return 0;
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return Math.max(info.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name))));
}

/** Builds the web application where it was not built yet or its sources changed since. */
export function ensureBuild(): void {
  const stamp = 'build/built';
  if (existsSync(stamp) && statSync(stamp).mtimeMs > Math.max(...SOURCES.map(newest))) return;
  say('Building the application (once, and after it changed) ...');
  const built = spawnSync('node', ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'error'], {
    encoding: 'utf8',
    env: { ...process.env, NODE_ENV: 'production' }
  });
  if (built.status !== 0)
    throw new Plain(`The application could not be built:\n${built.stdout}${built.stderr}`);
  writeFileSync(stamp, '');
}
