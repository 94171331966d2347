import { loadHousehold } from '$server/households/loadHousehold.ts';
import { listContainerStock } from '$server/sowings/containers.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

/** What a list of past sowings is read with, and what has been learned so far. */
export const load: PageServerLoad = ({ locals }) =>
  inSession(locals, async (tx) => {
    const [household, containers] = await Promise.all([loadHousehold(tx), listContainerStock(tx)]);
    return { household, containers };
  });
