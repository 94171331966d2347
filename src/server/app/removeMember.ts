import { randomUUID } from 'node:crypto';
import { DAY } from '../../core/time/zone.ts';
import type { Tx } from '../db/connection.ts';
import { leaveHousehold, listMembers } from '../people/members.ts';
import { saveReminders } from '../reminders/reminders.ts';
import type { Session } from '../sessions/sessions.ts';
import { standingNow } from './householdStanding.ts';
import { putOnTheirWay } from './judgeHousehold.ts';

/** Those who stay are reminded of it for so long. */
const TOLD_D = 14;

/**
 * Removes a member from the household, and tells all who stay who did it. Doing it again changes nothing.
 * @returns false where they are not there, or are the one who asks
 */
export async function removeMember(
  tx: Tx,
  { household, memberId, memberName }: Session,
  who: string
): Promise<boolean> {
  const removed = (await listMembers(tx)).find(({ id }) => id === who);
  if (!removed || who === memberId || !(await leaveHousehold(tx, who))) return false;
  const standing = await standingNow(tx);
  const { now } = standing;
  const told = await saveReminders(
    tx,
    household.id,
    [
      {
        id: randomUUID(),
        key: `member-removed ${who}`,
        kind: 'trouble',
        dueAt: now,
        until: now + TOLD_D * DAY,
        body: { type: 'member-removed', name: removed.name, by: memberName }
      }
    ],
    now
  );
  await putOnTheirWay(tx, standing, told);
  return true;
}
