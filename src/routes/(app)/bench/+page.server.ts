import { inHousehold } from '$server/db/connection.ts';
import { listLearned } from '$server/sowings/learned.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listLots } from '$server/cupboard/lots.ts';
import { listMedia } from '$server/cupboard/media.ts';
import { householdNow, memberNames } from '$server/households/household.ts';
import { listPlaces } from '$server/households/places.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household } = locals.session!;
  return inHousehold(household.id, async (tx) => {
    const [records, places, ownCrops, lots, media, members, learned] = await Promise.all([
      listUnderWay(tx),
      listPlaces(tx),
      ownCropsOf(tx),
      listLots(tx),
      listMedia(tx),
      memberNames(tx),
      listLearned(tx)
    ]);
    return { records, places, ownCrops, lots, media, members, learned, now: householdNow(household) };
  });
};
