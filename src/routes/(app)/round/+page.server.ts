import { anyOrders } from '$server/ahead/orders.ts';
import { rhythmOf } from '$core/sowing/household.ts';
import { roundAt } from '$core/time/rhythm.ts';
import { householdNow } from '$server/households/household.ts';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { listMembers } from '$server/people/members.ts';
import { turnsOf } from '$server/people/turns.ts';
import { readJudging } from '$server/reminders/judging.ts';
import { unseenReminders } from '$server/reminders/reminders.ts';
import { listForRound } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household: account, memberId } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const now = householdNow(account);
    const round = roundAt(rhythmOf(account), now).key;
    const [records, household, unseen, judging, turns, people, hasOrders] = await Promise.all([
      listForRound(tx),
      loadHousehold(tx),
      unseenReminders(tx, memberId),
      readJudging(tx),
      turnsOf(tx, [round]),
      listMembers(tx),
      anyOrders(tx)
    ]);
    return {
      household,
      records,
      unseen,
      heard: { touchedAt: judging?.touchedAt ?? null, silence: judging?.silence ?? null },
      turn: { round, memberId: turns.get(round) ?? null },
      people,
      hasOrders,
      now
    };
  });
};
