import { listMethods } from '$server/methods/methods.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  own: await inSession(locals, listMethods)
});
