import { lastReadings } from '$server/air/air.ts';
import { inHousehold } from '$server/db/connection.ts';
import { readBook } from '$server/households/book.ts';
import { householdNow } from '$server/households/household.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household } = locals.session!;
  return inHousehold(household.id, async (tx) => {
    const [records, book, last] = await Promise.all([listUnderWay(tx), readBook(tx), lastReadings(tx)]);
    return { ...book, records, last, now: householdNow(household) };
  });
};
