import { createHash } from 'node:crypto';
import { existsSync, mkdirSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { Plain } from './say.ts';

/** Which data a command works on: the household's own, or what can be thrown away. */
export type DataName = 'home' | 'demo' | 'dev' | 'test';

export const isRoot = process.getuid?.() === 0;

/**
 * Where the data lies, outside the clone: under `BROTE_DATA`, otherwise the user's data folder, or for root
 * `/var/lib/brote`, which the database's own user can reach even where the clone is under a closed home.
 * The household's data is one a machine; demo and tests have one a clone, so that clones do not meet.
 */
export function dataFolder(name: DataName): string {
  const folder = folderOf(name);
  mkdirSync(folder, { recursive: true, mode: 0o755 });
  return folder;
}

/** The same where there is one already. @throws Plain where nothing was ever kept there */
export function existingDataFolder(name: DataName): string {
  const folder = folderOf(name);
  if (!existsSync(join(folder, 'cluster', 'PG_VERSION')))
    throw new Plain(`There is no data in ${folder}. Is BROTE_DATA set as it is where Brote runs?`);
  return folder;
}

function folderOf(name: DataName): string {
  const base =
    process.env.BROTE_DATA ??
    (isRoot ? '/var/lib/brote' : join(process.env.XDG_DATA_HOME ?? join(homedir(), '.local/share'), 'brote'));
  const clone = createHash('sha256').update(process.cwd()).digest('hex').slice(0, 8);
  return join(base, name === 'home' ? name : `${name}-${clone}`);
}
