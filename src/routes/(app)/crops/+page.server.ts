import { listOwnCrops } from '$server/crops/ownCrops.ts';
import { listLessons } from '$server/sowings/learned.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) =>
  inSession(locals, async (tx) => {
    const [own, { learned }] = await Promise.all([listOwnCrops(tx), listLessons(tx)]);
    return { own: own.map(({ crop }) => crop), learned };
  });
