import { inHousehold } from '$server/db/connection.ts';
import { householdNow, memberNames } from '$server/households/household.ts';
import { listLearned } from '$server/sowings/learned.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listPlaces } from '$server/households/places.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household } = locals.session!;
  return inHousehold(household.id, async (tx) => {
    const [records, places, members, ownCrops, learned] = await Promise.all([
      listUnderWay(tx),
      listPlaces(tx),
      memberNames(tx),
      ownCropsOf(tx),
      listLearned(tx)
    ]);
    return { records, places, members, ownCrops, learned, now: householdNow(household) };
  });
};
