import { inHousehold } from '$server/db/connection.ts';
import { listOwnCrops } from '$server/crops/ownCrops.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  own: (await inHousehold(locals.session!.household.id, (tx) => listOwnCrops(tx))).map(({ crop }) => crop)
});
