import { readBook } from '$server/households/book.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listInPantry } from '$server/sowings/sowings.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [records, book] = await Promise.all([listInPantry(tx), readBook(tx)]);
    return { ...book, records, now: householdNow(household) };
  });
};
