import { rhythmOf } from '$core/sowing/household.ts';
import { roundAt } from '$core/time/rhythm.ts';
import { roundAside } from '$server/app/roundAside.ts';
import { householdNow } from '$server/households/household.ts';
import { loadHousehold } from '$server/households/loadHousehold.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { listForRound } from '$server/sowings/sowings.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household: account, memberId } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const now = householdNow(account);
    const round = roundAt(rhythmOf(account), now).key;
    const [records, household, { turnOf, ...aside }] = await Promise.all([
      listForRound(tx),
      loadHousehold(tx),
      roundAside(tx, round, memberId)
    ]);
    return { household, records, ...aside, turn: { round, memberId: turnOf }, now };
  });
};
