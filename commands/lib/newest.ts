import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

/**
 * When a file, or anything in a folder, was last changed, in ms since 1970; 0 where it is not there.
 * @param without a folder that does not count
 */
export function newest(path: string, without = ''): number {
  if (path === without || !existsSync(path)) return 0;
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return Math.max(info.mtimeMs, ...readdirSync(path).map((name) => newest(join(path, name), without)));
}
