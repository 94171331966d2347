import type { HouseholdFacts } from '../../core/sowing/follow.ts';
import { factsOf } from '../../core/sowing/householdFacts.ts';
import { readAir } from '../air/air.ts';
import { ownCropsOf } from '../crops/ownCrops.ts';
import type { Tx } from '../db/connection.ts';
import { householdOf, type HouseholdRow } from './household.ts';
import { listPlaces } from './places.ts';

/**
 * What the core must know of the transaction's household to follow its sowings, but for what it learned.
 * @param sowingId one that may have ended, whose time is to be covered
 */
export async function householdFacts(tx: Tx, sowingId: string | null = null): Promise<HouseholdFacts> {
  const [rows, places, ownCrops, air] = await Promise.all([
    tx<HouseholdRow[]>`select * from households where household_id = current_household()`,
    listPlaces(tx),
    ownCropsOf(tx),
    readAir(tx, { sowingId })
  ]);
  return factsOf(householdOf(rows[0]!), { places, ownCrops, air });
}
