import { listPlaces } from '$server/households/places.ts';
import { listChoices } from '$server/sowings/choices.ts';
import { listKeptContainers } from '$server/sowings/containers.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

/** What a list of past sowings is read with, and what has been learned so far. */
export const load: PageServerLoad = ({ locals }) =>
  inSession(locals, async (tx) => {
    const [{ ownCrops, learned, yields }, places, containers] = await Promise.all([
      listChoices(tx),
      listPlaces(tx),
      listKeptContainers(tx)
    ]);
    return { ownCrops, learned, yields, places: places.map(({ id, name }) => ({ id, name })), containers };
  });
