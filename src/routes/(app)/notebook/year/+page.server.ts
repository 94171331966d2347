import { zoneOf } from '$core/time/zone.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { householdNow } from '$server/households/household.ts';
import { yearInFigures } from '$server/notebook/year.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { household } = signedIn(locals);
  const asked = /^\d{4}$/.exec(url.searchParams.get('year') ?? '');
  return inSession(locals, async (tx) => {
    const [year, ownCrops] = await Promise.all([
      yearInFigures(tx, zoneOf(household.zone), asked ? Number(asked[0]) : null, householdNow(household)),
      ownCropsOf(tx)
    ]);
    return { year, ownCrops };
  });
};
