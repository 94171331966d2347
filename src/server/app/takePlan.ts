import type { InferType } from 'yup';
import type { planSchema } from '../../contract/schemas/ahead.ts';
import { beginningOn } from '../../core/sowing/aim.ts';
import { rhythmOf } from '../../core/sowing/facts.ts';
import { settleOrderDay } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow } from '../households/household.ts';
import type { Session } from '../sessions/sessions.ts';
import { findSowings, holdSowings, lockSowing } from '../sowings/sowings.ts';
import { recordEvents } from './recordEvents.ts';
import { sow, Wrong } from './sow.ts';

export type TakenPlan = InferType<typeof planSchema>;

/**
 * Takes what somebody chose of a plan, all of it or nothing: sowings that are begun, moved to another day, left out, or kept as
 * they are. Sending it again changes nothing.
 * @returns the sowings that were added
 * @throws Wrong where something of it cannot be any more
 */
export async function takePlan(
  tx: Tx,
  session: Pick<Session, 'household' | 'memberId'>,
  { begin, move, leaveOut, lock, orderDays }: TakenPlan
): Promise<string[]> {
  const { household } = session;
  const added: string[] = [];
  // Held at once, and in one order: two plans that cross wait one for the other, and not each for each.
  const touched = [...move, ...leaveOut, ...lock].map(({ sowingId }) => sowingId);
  if (touched.length > 0) await holdSowings(tx, touched);
  for (const one of begin) {
    const sown = await sow(tx, session, one);
    if (sown.added) added.push(...sown.ids);
  }
  const now = householdNow(household);
  const rhythm = rhythmOf(household);
  const moves = move.map(({ sowingId, eventId, day }) => {
    const aim = beginningOn(day, rhythm, now);
    if (aim?.kind !== 'from') throw new Wrong('move', 'This is not a date: choose one from the calendar.');
    return { sowingId, id: eventId, at: now, body: { type: 'put-off', until: aim.at } };
  });
  const ends = leaveOut.map(({ sowingId, eventId }) => ({
    sowingId,
    id: eventId,
    at: now,
    body: { type: 'ended', reason: 'not-begun' }
  }));
  for (const { sowingId, locked } of lock) await lockSowing(tx, sowingId, locked);
  for (const { orderId, day, sowingId } of orderDays) {
    const here = sowingId && (await findSowings(tx, [sowingId])).length > 0;
    if (sowingId && !here)
      throw new Wrong('orderDays', 'This sowing is not there any more: look at the plan again.', 409);
    await settleOrderDay(tx, household.id, { orderId, day, sowingId });
  }
  if (moves.length + ends.length > 0) {
    const { results } = await recordEvents(tx, session, [...moves, ...ends]);
    // Somebody else began it meanwhile: the rest of the plan was made without knowing that.
    if (results.some(({ ok }) => !ok))
      throw new Wrong('move', 'One of these was begun or changed meanwhile: look at the plan again.', 409);
  }
  return added;
}
