import { t } from '../../messages/t.ts';
import type { InferType } from 'yup';
import type { planSchema } from '../../contract/schemas/ahead.ts';
import { changedParts, groundOf } from '../../core/ahead/ground.ts';
import { beginningOn } from '../../core/sowing/aim.ts';
import { rhythmOf } from '../../core/sowing/household.ts';
import { settleOrderDay } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import { householdNow } from '../households/household.ts';
import type { Session } from '../sessions/sessions.ts';
import { findSowings, holdSowings, lockSowing } from '../sowings/sowings.ts';
import { groundChangedWords } from '../../words/ahead.ts';
import { aheadData } from './aheadData.ts';
import { recordEvents } from './recordEvents.ts';
import { sow, Wrong } from './sow.ts';

export type TakenPlan = InferType<typeof planSchema>;

/**
 * Whether a plan was taken already: then it is sent again, and changes nothing. One at a time in a household: of two who take
 * the same proposal at once, the second is to see what the first took.
 */
async function isTaken(
  tx: Tx,
  householdId: string,
  { begin, move, leaveOut }: Pick<TakenPlan, 'begin' | 'move' | 'leaveOut'>
): Promise<boolean> {
  await tx`select pg_advisory_xact_lock(hashtextextended(${`plan ${householdId}`}, 4180230))`;
  const sowings = begin.map(({ ids }) => ids.first);
  const events = [...move, ...leaveOut].map(({ eventId }) => eventId);
  const [found] = await tx<{ here: number }[]>`select
    (select count(*)::integer from sowings where id = any(${sowings}::uuid[]))
    + (select count(*)::integer from events where id = any(${events}::uuid[])) as here`;
  return found!.here > 0 && found!.here === sowings.length + events.length;
}

/**
 * Takes what somebody chose of a plan, all of it or nothing: sowings that are begun, moved to another day, left out, or kept as
 * they are. Sending it again changes nothing. What was worked out from something else than what is there now is refused.
 * @returns the sowings that were added
 * @throws Wrong where something of it cannot be any more
 */
export async function takePlan(
  tx: Tx,
  session: Pick<Session, 'household' | 'memberId'>,
  { ground, begin, move, leaveOut, lock, orderDays }: TakenPlan
): Promise<string[]> {
  const { household } = session;
  const added: string[] = [];
  if (ground && !(await isTaken(tx, household.id, { begin, move, leaveOut }))) {
    const changed = changedParts(ground, groundOf(await aheadData(tx)));
    if (changed.length > 0) throw new Wrong('ground', groundChangedWords(changed), 409);
  }
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
    if (aim?.kind !== 'from') throw new Wrong('move', t('ahead.notDateChooseOneFrom'));
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
    if (sowingId && !here) throw new Wrong('orderDays', t('errors.sowingNotThereAnyMore2'), 409);
    await settleOrderDay(tx, household.id, { orderId, day, sowingId });
  }
  if (moves.length + ends.length > 0) {
    const { results } = await recordEvents(tx, session, [...moves, ...ends]);
    // Somebody else began it meanwhile: the rest of the plan was made without knowing that.
    if (results.some(({ ok }) => !ok)) throw new Wrong('move', t('errors.oneTheseWasBegunOr'), 409);
  }
  return added;
}
