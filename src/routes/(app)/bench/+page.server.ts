import { listLots } from '$server/cupboard/lots.ts';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { householdNow } from '$server/households/household.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  signedIn(locals);
  return inSession(locals, async (tx) => {
    const [records, household, lots] = await Promise.all([listUnderWay(tx), loadHousehold(tx), listLots(tx)]);
    return { household, records, lots, now: householdNow(household) };
  });
};
