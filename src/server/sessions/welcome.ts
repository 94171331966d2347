import type { Tx } from '../db/connection.ts';
import { anyHousehold } from './sessions.ts';

/** Whether the operator lets anyone who comes by begin a household. */
const isOpen = (): boolean => process.env.BROTE_OPEN === '1' || process.env.BROTE_DEMO === '1';

/** Whether a new household may be begun: the first on a server, and others where the operator says so. */
export const mayBegin = async (): Promise<boolean> => isOpen() || !(await anyHousehold());

/** Asked again within the transaction that adds one: of two that begin the first at once, one comes first. */
export async function mayBeginNow(tx: Tx): Promise<boolean> {
  await tx`select pg_advisory_xact_lock(4180225)`;
  const [row] = await tx<{ any_household: boolean }[]>`select any_household()`;
  return isOpen() || !row!.any_household;
}
