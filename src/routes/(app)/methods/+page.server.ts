import { inHousehold } from '$server/db/connection.ts';
import { listMethods } from '$server/methods/methods.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  own: await inHousehold(locals.session!.household.id, listMethods)
});
