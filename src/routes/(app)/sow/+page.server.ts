import { inHousehold } from '$server/db/connection.ts';
import { householdNow } from '$server/households/household.ts';
import { listPlaces } from '$server/households/places.ts';
import { listContainers } from '$server/sowings/containers.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const { household } = locals.session!;
  return inHousehold(household.id, async (tx) => {
    const [places, containers] = await Promise.all([listPlaces(tx), listContainers(tx)]);
    return { places, containers, cropKey: url.searchParams.get('crop') ?? '', now: householdNow(household) };
  });
};
