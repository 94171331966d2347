import { error } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import { householdNow, memberNames } from '$server/households/household.ts';
import { listLearned } from '$server/sowings/learned.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listPlaces } from '$server/households/places.ts';
import { findSowing } from '$server/sowings/sowings.ts';
import type { LayoutServerLoad } from './$types';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

export const load: LayoutServerLoad = async ({ locals, params, depends }) => {
  depends('brote:sowings');
  const { household } = locals.session!;
  const found = UUID.test(params.id)
    ? await inHousehold(household.id, async (tx) => {
        const [record, places, members, ownCrops, learned] = await Promise.all([
          findSowing(tx, params.id),
          listPlaces(tx),
          memberNames(tx),
          ownCropsOf(tx),
          listLearned(tx)
        ]);
        return record && { record, places, members, ownCrops, learned, now: householdNow(household) };
      })
    : null;
  // The same answer for a tray that never was and for another household's.
  if (!found) error(404, 'There is no such tray here.');
  return found;
};
