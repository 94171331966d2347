import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import type { HouseholdFacts } from '../../core/sowing/project.ts';
import type { Tx } from '../db/connection.ts';
import { householdFacts } from '../households/facts.ts';
import { derivedOf, keepDerived } from './derived.ts';
import { findSowing } from './sowings.ts';

/** Writes events down; one whose id is known is left as it was. */
export async function insertEvents(
  tx: Tx,
  householdId: string,
  events: readonly { sowingId: string; event: SowingEvent }[]
): Promise<void> {
  if (events.length === 0) return;
  const rows = events.map(({ sowingId, event }) => ({
    household_id: householdId,
    id: event.id,
    sowing_id: sowingId,
    member_id: event.by,
    type: event.body.type,
    at: new Date(event.at),
    task_key: event.taskKey,
    body: event.body as never
  }));
  await tx`insert into events ${tx(rows)} on conflict (household_id, id) do nothing`;
}

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
  if (record) await keepDerived(tx, [derivedOf(facts ?? (await householdFacts(tx)), record)]);
}

/** An event as it is kept. */
export interface KnownEvent {
  id: string;
  sowingId: string;
  body: EventBody;
}

/** Those of some events that are kept already. */
export async function knownEvents(tx: Tx, ids: readonly string[]): Promise<KnownEvent[]> {
  const rows = await tx<{ id: string; sowing_id: string; body: EventBody }[]>`
    select id, sowing_id, body from events where id in ${tx(ids)}`;
  return rows.map(({ id, sowing_id, body }) => ({ id, sowingId: sowing_id, body }));
}
