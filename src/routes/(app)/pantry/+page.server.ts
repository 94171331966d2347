import { rhythmOf } from '$core/sowing/household.ts';
import { listEaters } from '$server/ahead/appetite.ts';
import { listAway } from '$server/people/away.ts';
import { householdNow } from '$server/households/household.ts';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listInPantry } from '$server/sowings/sowings.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household: account } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const now = householdNow(account);
    const today = rhythmOf(account).zone.date(now).toString();
    const [records, household, eaters, away] = await Promise.all([
      listInPantry(tx),
      loadHousehold(tx),
      listEaters(tx),
      listAway(tx, today)
    ]);
    return { household, records, eaters, away, now };
  });
};
