import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';

/** A generated secret that is kept, readable by its owner alone. Written whole or not at all. */
export function keptSecret(file: string): string {
  const kept = existsSync(file) ? readFileSync(file, 'utf8').trim() : '';
  if (kept !== '') return kept;
  const made = randomBytes(24).toString('base64url');
  const beside = `${file}.${process.pid}`;
  writeFileSync(beside, made, { mode: 0o600 });
  renameSync(beside, file);
  return made;
}
