import { randomUUID } from 'node:crypto';
import { handedKey } from '../../core/reminders/keys.ts';
import { roundBody } from '../../core/reminders/rounds.ts';
import { roundAt } from '../../core/time/rhythm.ts';
import type { Tx } from '../db/connection.ts';
import { listMembers } from '../people/members.ts';
import { setTurn } from '../people/turns.ts';
import { saveReminders } from '../reminders/reminders.ts';
import type { Session } from '../sessions/sessions.ts';
import { standingNow } from './householdStanding.ts';
import { putOnTheirWay } from './judgeHousehold.ts';

/**
 * Gives the round that is being walked to one member, or back to all. Whoever is handed it after the others were told is
 * told by themselves.
 * @param to null for all
 * @returns false where they are not of the household
 */
export async function handRound(
  tx: Tx,
  { household, memberId }: Session,
  to: string | null
): Promise<boolean> {
  const standing = await standingNow(tx);
  const { rhythm } = standing.facts;
  const { now } = standing;
  const round = roundAt(rhythm, now);
  if (to !== null && (await listMembers(tx)).every(({ id }) => id !== to)) return false;
  await setTurn(tx, household.id, { roundKey: round.key, memberId: to, by: memberId });
  // Before its hour everybody is yet to be told; whoever took it knows.
  if (to === null || to === memberId || now < round.at) return true;
  const body = roundBody([...standing.projected, ...(standing.reminding.emptied ?? [])], rhythm, now);
  if (!body) return true;
  const told = await saveReminders(
    tx,
    household.id,
    [
      {
        id: randomUUID(),
        key: handedKey(round, to),
        kind: 'round',
        dueAt: now,
        until: round.nextAt,
        body,
        forMember: to
      }
    ],
    now
  );
  await putOnTheirWay(tx, standing, told);
  return true;
}
