import { rhythmOf } from '../../core/sowing/facts.ts';
import type { PlanContext } from '../../core/sowing/planSowing.ts';
import type { HouseholdOptions } from '../../core/choice/resolve.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow, type Household } from '../households/household.ts';
import { listPlaces } from '../households/places.ts';
import { listChoices } from '../sowings/choices.ts';
import { listContainers } from '../sowings/containers.ts';

/** What the transaction's household has to choose from, with what a sowing is planned against. */
export async function householdOptions(
  tx: Tx,
  household: Household
): Promise<HouseholdOptions & PlanContext> {
  const [places, choices, containers] = await Promise.all([
    listPlaces(tx),
    listChoices(tx),
    listContainers(tx)
  ]);
  return {
    ...choices,
    places,
    containers,
    rhythm: rhythmOf(household),
    latitudeDeg: household.latitudeDeg,
    now: householdNow(household)
  };
}
