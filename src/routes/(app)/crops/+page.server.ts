import { inHousehold } from '$server/db/connection.ts';
import { listOwnCrops } from '$server/crops/ownCrops.ts';
import { listLearned } from '$server/sowings/learned.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) =>
  inHousehold(locals.session!.household.id, async (tx) => {
    const [own, learned] = await Promise.all([listOwnCrops(tx), listLearned(tx)]);
    return { own: own.map(({ crop }) => crop), learned };
  });
