import type { Tx } from '../db/connection.ts';
import { factsOf } from '../../core/sowing/household.ts';
import type { HouseholdFacts } from '../../core/sowing/project.ts';
import { loadHousehold } from '../households/loadHousehold.ts';
import { listSowings, type Which } from '../sowings/sowings.ts';
import { derive } from './derive.ts';

/**
 * Works out anew what is kept beside sowings and follows from their events, their places' air and their crops' figures:
 * whether they have ended, and what they taught. Called by every write that one of these hangs on; it changes nothing
 * where all is well.
 * @param which the sowings that the write can have touched; all of them where not given
 * @param facts of the household, where they are at hand already
 */
export async function rebuild(tx: Tx, which: Which = {}, facts?: HouseholdFacts): Promise<void> {
  const records = await listSowings(tx, which);
  await derive(tx, facts ?? factsOf(await loadHousehold(tx)), records);
}
