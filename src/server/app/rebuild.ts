import type { Tx } from '../db/connection.ts';
import { householdFacts } from '../households/facts.ts';
import { listSowings, type Which } from '../sowings/sowings.ts';
import { derive } from './derive.ts';

/**
 * Works out anew what is kept beside sowings and follows from their events, their places' air and their crops' figures:
 * whether they have ended, and what they taught. Called by every write that one of these hangs on; it changes nothing
 * where all is well.
 * @param which the sowings that the write can have touched; all of them where not given
 */
export async function rebuild(tx: Tx, which: Which = {}): Promise<void> {
  const [records, facts] = await Promise.all([listSowings(tx, which), householdFacts(tx)]);
  await derive(tx, facts, records);
}
