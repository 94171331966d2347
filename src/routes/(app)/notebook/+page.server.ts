import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listPlaces } from '$server/households/places.ts';
import { listEnded } from '$server/sowings/sowings.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

/** As many as a page shows at once. */
const SHOWN = 100;

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  return inSession(locals, async (tx) => {
    const [records, places, ownCrops] = await Promise.all([
      listEnded(tx, SHOWN),
      listPlaces(tx),
      ownCropsOf(tx)
    ]);
    return { records, places, ownCrops };
  });
};
