import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../core/sowing/project.ts';
import { readLog } from '../../core/sowing/record.ts';
import { thirstOf } from '../../core/water/message.ts';
import type { Gaussian } from '../../core/stats/gaussian.ts';
import { messageOf } from '../../core/growth/learned.ts';
import type { Tx } from '../db/connection.ts';
import { householdFacts } from '../households/facts.ts';
import { findSowing } from './sowings.ts';

/**
 * Adds events to a sowing and brings what is derived from them up to date. An event whose id is known is
 * left as it was, so that sending again is safe.
 * @param facts of the household, where they are at hand already
 */
export async function addEvents(
  tx: Tx,
  householdId: string,
  sowingId: string,
  events: readonly SowingEvent[],
  facts?: HouseholdFacts
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
  await settle(tx, sowingId, facts ?? (await householdFacts(tx)));
}

/** Whether an event is known already: as it is sent now, or as something else. */
export async function knownEvent(
  tx: Tx,
  { id, sowingId, body }: { id: string; sowingId: string; body: EventBody }
): Promise<'new' | 'same' | 'other'> {
  const [row] = await tx<{ same: boolean }[]>`
    select sowing_id = ${sowingId} and body = ${tx.json(body as never)} as same from events where id = ${id}`;
  return !row ? 'new' : row.same ? 'same' : 'other';
}

/** Writes down whether the sowing has ended, and what it says of its crop's pace, as its events say. */
async function settle(tx: Tx, sowingId: string, facts: HouseholdFacts): Promise<void> {
  const record = await findSowing(tx, sowingId);
  if (!record) return;
  const projected = project(facts, record.setup, readLog(record), true);
  const { endedAt } = projected.state;
  const pace = kept(messageOf(projected));
  const thirst = kept(thirstOf(projected));
  await tx`update sowings set ended_at = ${endedAt === null ? null : new Date(endedAt)},
    pace_mean = ${pace?.mean ?? null}, pace_variance = ${pace?.variance ?? null},
    thirst_mean = ${thirst?.mean ?? null}, thirst_variance = ${thirst?.variance ?? null} where id = ${sowingId}`;
}

/** As it is kept and sent with every page: to six places, far finer than anything is known. */
const kept = (message: Gaussian | null): Gaussian | null =>
  message && { mean: Number(message.mean.toFixed(6)), variance: Number(message.variance.toFixed(7)) };
