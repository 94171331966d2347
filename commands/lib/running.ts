import { linkSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { markOf, stillRuns, type ProcessMark } from './process.ts';
import { Plain } from './say.ts';

interface Running extends ProcessMark {
  url: string;
}

/** How long another start is waited for until it says where it runs, ms. */
const WAIT_MS = 90_000;

/**
 * Claims a data folder for this process. A claim left behind by one that is gone does not count, whatever process
 * has its number now; one that is still starting is waited for.
 * @returns what to call once the address is known, and at the end
 * @throws Plain where another start holds it, saying where that one runs
 */
export async function claim(folder: string): Promise<{ announce(url: string): void; release(): void }> {
  const file = join(folder, 'running.json');
  const beside = `${file}.${process.pid}`;
  const mark = markOf();
  if (!mark) throw new Plain('This system does not say which processes run: Brote needs Linux with /proc.');
  const write = (url: string) => writeFileSync(beside, JSON.stringify({ ...mark, url } satisfies Running));
  for (const until = Date.now() + WAIT_MS; ;) {
    write('');
    if (takes(beside, file)) break;
    const held = readRunning(file);
    if (!held || !stillRuns(held)) {
      // Taken aside under a name of our own, so that of two who see it one takes it away.
      const aside = `${beside}.stale`;
      if (moves(file, aside)) rmSync(aside, { force: true });
      continue;
    }
    if (held.url !== '') {
      rmSync(beside, { force: true });
      throw new Plain(
        `Brote is running already, at ${held.url} (process ${held.pid}). Open that address, or stop it first with: kill ${held.pid}`
      );
    }
    if (Date.now() > until) {
      rmSync(beside, { force: true });
      throw new Plain(
        `Brote is being started by process ${held.pid} and has not come up yet. Wait for it, or stop it first with: kill ${held.pid}`
      );
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  rmSync(beside, { force: true });
  return {
    announce: (url) => {
      write(url);
      renameSync(beside, file);
    },
    release: () => rmSync(file, { force: true })
  };
}

/** Puts a file there whole, where there is none. */
function takes(from: string, to: string): boolean {
  try {
    linkSync(from, to);
    return true;
  } catch (error) {
    if ((error as { code?: string }).code === 'EEXIST') return false;
    throw error;
  }
}

function moves(from: string, to: string): boolean {
  try {
    renameSync(from, to);
    return true;
  } catch (error) {
    if ((error as { code?: string }).code === 'ENOENT') return false;
    throw error;
  }
}

function readRunning(file: string): Running | null {
  try {
    const { pid, startedAt, boot, url } = JSON.parse(readFileSync(file, 'utf8')) as Partial<Running>;
    return typeof pid === 'number' && typeof startedAt === 'string' && typeof boot === 'string'
      ? { pid, startedAt, boot, url: url ?? '' }
      : null;
  } catch {
    return null;
  }
}
