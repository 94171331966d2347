import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';

/** Which data a command works on: the household's own, or what can be thrown away. */
export type DataName = 'home' | 'demo' | 'dev' | 'test';

export const isRoot = process.getuid?.() === 0;

/**
 * Where the data lies, outside the clone: under `BROTE_DATA`, otherwise the user's data folder, or for root
 * `/var/lib/brote`, which the database's own user can reach even where the clone is under a closed home.
 * The household's data is one a machine; demo and tests have one a clone, so that clones do not meet.
 */
export function dataFolder(name: DataName): string {
  const base =
    process.env.BROTE_DATA ??
    (isRoot ? '/var/lib/brote' : join(process.env.XDG_DATA_HOME ?? join(homedir(), '.local/share'), 'brote'));
  const clone = createHash('sha256').update(process.cwd()).digest('hex').slice(0, 8);
  const folder = join(base, name === 'home' ? name : `${name}-${clone}`);
  mkdirSync(folder, { recursive: true, mode: 0o755 });
  return folder;
}
