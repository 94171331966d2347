import { readBook } from '$server/households/book.ts';
import { householdNow } from '$server/households/household.ts';
import { unseenReminders } from '$server/reminders/reminders.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household, memberId } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [records, book, unseen] = await Promise.all([
      listUnderWay(tx),
      readBook(tx),
      unseenReminders(tx, memberId)
    ]);
    return { ...book, records, unseen, now: householdNow(household) };
  });
};
