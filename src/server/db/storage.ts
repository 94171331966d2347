import { statfsSync } from 'node:fs';
import { Unavailable } from './unavailable.ts';

/** There is no room to write. Nothing of what was sent is stored; it may be sent again once there is room. */
export class StorageFull extends Unavailable {
  constructor(options?: ErrorOptions) {
    super('storage is full', options);
  }
}

/** What PostgreSQL says where it cannot write: no disk, an error of the disk, or a server that only reads. */
const CANNOT_WRITE = new Set(['53100', '53000', '58030', '25006']);

/** Whether an error of the database says that it cannot write. */
export const saysFull = (error: unknown): boolean =>
  CANNOT_WRITE.has(String((error as { code?: unknown } | null)?.code ?? ''));

/** The disk is looked at so often, ms; and so long it is taken for full after the database said so. */
const LOOK_MS = 1000;
const SAID_MS = 5000;
/** Writes stop with so much left on the database's disk, MB, so that it can still end what it is at. */
const LEAST_FREE_MB = 64;

let looked = { at: -Infinity, full: false };
let saidUntil = -Infinity;

/** Notes that the database could not write just now. */
export function noteFull(): void {
  saidUntil = performance.now() + SAID_MS;
}

/**
 * Whether nothing should be written: the database's disk is nearly full, or the database said so a moment ago. The folder is
 * the one that `BROTE_DATABASE_FOLDER` names, which the start command sets where the database is its own.
 */
export function isStorageFull(): boolean {
  const now = performance.now();
  if (now < saidUntil) return true;
  const folder = process.env.BROTE_DATABASE_FOLDER;
  if (!folder) return false;
  if (now - looked.at > LOOK_MS) looked = { at: now, full: isNearlyFull(folder) };
  return looked.full;
}

function isNearlyFull(folder: string): boolean {
  try {
    const { bavail, bsize } = statfsSync(folder);
    return (bavail * bsize) / 1024 ** 2 < Number(process.env.BROTE_LEAST_FREE_MB ?? LEAST_FREE_MB);
  } catch {
    return false;
  }
}
