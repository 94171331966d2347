import { aheadData } from '$server/app/aheadData.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  signedIn(locals);
  return { ahead: await inSession(locals, aheadData) };
};
