import type { SowingEvent } from '../../core/events/event.ts';
import { foldEvents } from '../../core/sowing/fold.ts';
import { readLog } from '../../core/sowing/record.ts';
import type { Tx } from '../db/connection.ts';
import { findSowing } from './sowings.ts';

/**
 * Adds events to a sowing and brings what is derived for finding it up to date. An event whose id is known
 * is left as it was, so that sending again is safe.
 */
export async function addEvents(
  tx: Tx,
  householdId: string,
  sowingId: string,
  events: readonly SowingEvent[]
): Promise<void> {
  const rows = events.map((event) => ({
    household_id: householdId,
    id: event.id,
    sowing_id: sowingId,
    member_id: event.by,
    type: event.body.type,
    at: new Date(event.at),
    task_key: event.taskKey,
    body: event.body as never
  }));
  if (rows.length > 0) await tx`insert into events ${tx(rows)} on conflict (household_id, id) do nothing`;
  await settle(tx, sowingId);
}

/** Writes down whether the sowing has ended, as its events say. */
async function settle(tx: Tx, sowingId: string): Promise<void> {
  const record = await findSowing(tx, sowingId);
  if (!record) return;
  const { endedAt } = foldEvents(readLog(record));
  await tx`update sowings set ended_at = ${endedAt === null ? null : new Date(endedAt)} where id = ${sowingId}`;
}
