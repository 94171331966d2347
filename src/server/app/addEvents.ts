import type { SowingEvent } from '../../core/sowing/event.ts';
import type { HouseholdFacts } from '../../core/sowing/project.ts';
import type { Tx } from '../db/connection.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { loadHousehold } from '../households/loadHousehold.ts';
import { insertEvents } from '../sowings/events.ts';
import { findSowing } from '../sowings/sowings.ts';
import { derive } from './derive.ts';

/**
 * Adds events to one sowing and brings what is derived from them up to date, so that sending again is safe.
 * @param facts of the household, where they are at hand already
 */
export async function addEvents(
  tx: Tx,
  householdId: string,
  sowingId: string,
  events: readonly SowingEvent[],
  facts?: HouseholdFacts
): Promise<void> {
  await insertEvents(
    tx,
    householdId,
    events.map((event) => ({ sowingId, event }))
  );
  const record = await findSowing(tx, sowingId);
  if (record) await derive(tx, facts ?? factsOf(await loadHousehold(tx)), [record]);
}
