import { json } from '@sveltejs/kit';
import { listPlaces } from '$server/households/places.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listInPreparation } from '$server/sowings/sowings.ts';
import { api } from '$server/requests/answer.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** What is being prepared now, for the timers that every page shows. */
export const GET: RequestHandler = api(async ({ locals }) =>
  json(
    await inSession(locals, async (tx) => {
      const [records, places, ownCrops] = await Promise.all([
        listInPreparation(tx),
        listPlaces(tx),
        ownCropsOf(tx)
      ]);
      return { records, places, ownCrops, now: householdNow(signedIn(locals).household) };
    })
  )
);
