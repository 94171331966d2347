import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Plain } from './say.ts';

interface Running {
  pid: number;
  url: string;
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as { code?: string }).code === 'EPERM';
  }
}

/**
 * Claims a data folder for this process. A claim left behind by one that was killed does not count.
 * @returns what to call once the address is known, and at the end
 * @throws Plain where another start holds it, saying where that one runs
 */
export function claim(folder: string): { announce(url: string): void; release(): void } {
  const file = join(folder, 'running.json');
  const write = (url: string, flag: string) =>
    writeFileSync(file, JSON.stringify({ pid: process.pid, url } satisfies Running), { flag });
  if (existsSync(file)) {
    const held = readRunning(file);
    if (held && held.pid !== process.pid && isAlive(held.pid))
      throw new Plain(
        held.url
          ? `Brote is running already, at ${held.url} (process ${held.pid}). Open that address, or stop it first with: kill ${held.pid}`
          : `Brote is being started already by process ${held.pid}. Wait for it, or stop it first with: kill ${held.pid}`
      );
    rmSync(file, { force: true });
  }
  try {
    write('', 'wx');
  } catch (error) {
    if ((error as { code?: string }).code === 'EEXIST')
      throw new Plain(
        'Brote is being started by another process right now. Wait a moment and open its address.'
      );
    throw error;
  }
  return { announce: (url) => write(url, 'w'), release: () => rmSync(file, { force: true }) };
}

function readRunning(file: string): Running | null {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Running;
  } catch {
    return null;
  }
}
