import { json } from '@sveltejs/kit';
import type { Found } from '$contract/api.ts';
import { findCrop, withOwnCrops } from '$core/crops/library.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listPlaces } from '$server/households/places.ts';
import { listUnderWay } from '$server/sowings/sowings.ts';
import { api } from '$server/requests/answer.ts';
import { inSession } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What the household can go to by name. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const [records, places, own] = await inSession(locals, (tx) =>
    Promise.all([listUnderWay(tx), listPlaces(tx), ownCropsOf(tx)])
  );
  const crops = withOwnCrops(own);
  const found: Found = {
    trays: records.map(({ setup }) => ({
      id: setup.id,
      crops: (setup.mix?.map(({ cropKey }) => cropKey) ?? [setup.cropKey]).map(
        (key) => findCrop(key, crops)?.name ?? key
      ),
      of: { container: setup.container, count: setup.count, trayNo: setup.trayNo },
      place: places.find(({ id }) => id === setup.placeId)?.name ?? ''
    })),
    crops: crops.map(({ key, name, botanicalName }) => ({ key, name, botanicalName }))
  };
  return json(found);
});
