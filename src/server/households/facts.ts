import type { HouseholdFacts } from '../../core/sowing/project.ts';
import { factsOf } from '../../core/sowing/facts.ts';
import { ownCropsOf } from '../crops/ownCrops.ts';
import type { Tx } from '../db/connection.ts';
import { householdOf, type HouseholdRow } from './household.ts';
import { listPlaces } from './places.ts';

/** What the core must know of the transaction's household to follow its sowings, but for what it learned. */
export async function householdFacts(tx: Tx): Promise<HouseholdFacts> {
  const [rows, places, ownCrops] = await Promise.all([
    tx<
      HouseholdRow[]
    >`select household_id, name, zone, units, latitude_deg, wake_min, sleep_min, rounds_min, method_key,
      demo, clock_ahead_ms from households where household_id = current_household()`,
    listPlaces(tx),
    ownCropsOf(tx)
  ]);
  return factsOf(householdOf(rows[0]!), { places, ownCrops });
}
