import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import type { Tx } from '../db/connection.ts';

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

/** Those of some events that somebody recorded. */
export async function eventsBy(
  tx: Tx,
  by: string,
  ids: readonly string[]
): Promise<{ sowingId: string; eventId: string }[]> {
  return tx<{ sowingId: string; eventId: string }[]>`
    select sowing_id as "sowingId", id as "eventId" from events
    where id in ${tx(ids)} and member_id = ${by} order by seq`;
}
