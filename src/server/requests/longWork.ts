import { t } from '../../messages/t.ts';
/** Imports and exports that one process does at a time; each has a connection of its own. */
export const MOST_LONG = 2;

/** Work that has to wait for other work of its kind, with when to try again. */
export class Busy extends Error {
  override readonly name = 'Busy';
  constructor(
    readonly status: 409 | 503,
    message: string
  ) {
    super(message);
  }
}

const underWay = new Set<string>();

/**
 * Runs an import or an export, one a household and {@link MOST_LONG} a process at a time, so that the requests of others
 * find connections, disk and a processor.
 * @throws Busy where it has to wait
 */
export async function longWork<T>(householdId: string, work: () => Promise<T>): Promise<T> {
  if (underWay.has(householdId)) throw new Busy(409, t('errors.busyOwn'));
  if (underWay.size >= MOST_LONG) throw new Busy(503, t('errors.busyOthers'));
  underWay.add(householdId);
  try {
    return await work();
  } finally {
    underWay.delete(householdId);
  }
}
