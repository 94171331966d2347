import { json } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import { listPlaces } from '$server/households/places.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listInPreparation } from '$server/sowings/sowings.ts';
import type { RequestHandler } from './$types';

/** What is being prepared now, for the timers that every page shows. */
export const GET: RequestHandler = async ({ locals }) =>
  json(
    await inHousehold(locals.session!.household.id, async (tx) => {
      const [records, places, ownCrops] = await Promise.all([
        listInPreparation(tx),
        listPlaces(tx),
        ownCropsOf(tx)
      ]);
      return { records, places, ownCrops };
    })
  );
