import { rhythmOf } from '$core/sowing/facts.ts';
import { listEaters } from '$server/ahead/appetite.ts';
import { listAway } from '$server/people/away.ts';
import { readBook } from '$server/households/book.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listInPantry } from '$server/sowings/sowings.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const now = householdNow(household);
    const today = rhythmOf(household).zone.date(now).toString();
    const [records, book, eaters, away] = await Promise.all([
      listInPantry(tx),
      readBook(tx),
      listEaters(tx),
      listAway(tx, today)
    ]);
    return { ...book, records, eaters, away, now };
  });
};
