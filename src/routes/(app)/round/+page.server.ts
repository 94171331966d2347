import { anyOrders } from '$server/ahead/orders.ts';
import { readBook } from '$server/households/book.ts';
import { rhythmOf } from '$core/sowing/facts.ts';
import { roundAt } from '$core/time/rhythm.ts';
import { householdNow } from '$server/households/household.ts';
import { listMembers } from '$server/people/members.ts';
import { turnsOf } from '$server/people/turns.ts';
import { readJudging } from '$server/reminders/judging.ts';
import { unseenReminders } from '$server/reminders/reminders.ts';
import { listForRound } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household, memberId } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const now = householdNow(household);
    const round = roundAt(rhythmOf(household), now).key;
    const [records, book, unseen, judging, turns, people, hasOrders] = await Promise.all([
      listForRound(tx),
      readBook(tx),
      unseenReminders(tx, memberId),
      readJudging(tx),
      turnsOf(tx, [round]),
      listMembers(tx),
      anyOrders(tx)
    ]);
    return {
      ...book,
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
