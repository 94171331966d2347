import { listLots } from '$server/cupboard/lots.ts';
import { readBook } from '$server/households/book.ts';
import { householdNow } from '$server/households/household.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [records, book, lots] = await Promise.all([listUnderWay(tx), readBook(tx), listLots(tx)]);
    return { ...book, records, lots, now: householdNow(household) };
  });
};
