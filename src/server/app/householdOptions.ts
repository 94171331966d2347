import type { HouseholdOptions } from '../../core/choice/resolve.ts';
import type { ContainerStock } from '../../core/supplies/containers/container.ts';
import { listLots } from '../cupboard/lots.ts';
import { listMedia } from '../cupboard/media.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow } from '../households/household.ts';
import { loadHousehold, type LoadedHousehold } from '../households/loadHousehold.ts';
import { allMethods } from '../methods/methods.ts';
import { listContainerStock } from '../sowings/containers.ts';

/** A household with all that it has to choose from, as it is loaded. */
export interface LoadedOptions extends HouseholdOptions {
  household: LoadedHousehold;
  containers: readonly ContainerStock[];
}

/**
 * The transaction's household with all that it has to choose from.
 * @param known the household, where it was loaded already
 */
export async function householdOptions(tx: Tx, known?: LoadedHousehold): Promise<LoadedOptions> {
  const [household, containers, media, methods, lots] = await Promise.all([
    known ?? loadHousehold(tx),
    listContainerStock(tx),
    listMedia(tx),
    allMethods(tx),
    listLots(tx)
  ]);
  return { household, containers, media, methods, lots, now: householdNow(household) };
}
