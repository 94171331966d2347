import type { HouseholdFacts } from '../../core/sowing/project.ts';
import { factsOf } from '../../core/sowing/facts.ts';
import { ownCropsOf } from '../crops/ownCrops.ts';
import type { Tx } from '../db/connection.ts';
import { findHousehold } from './household.ts';
import { listPlaces } from './places.ts';

/** What the core must know of the transaction's household to follow its sowings, but for what it learned. */
export async function householdFacts(tx: Tx): Promise<HouseholdFacts> {
  const [household, places, ownCrops] = await Promise.all([
    findHousehold(tx),
    listPlaces(tx),
    ownCropsOf(tx)
  ]);
  return factsOf(household, { places, ownCrops });
}
