import { aheadData } from '$server/app/aheadData.ts';
import { listMedia } from '$server/cupboard/media.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  signedIn(locals);
  return inSession(locals, async (tx) => {
    const [ahead, media] = await Promise.all([aheadData(tx), listMedia(tx)]);
    return { ahead, media };
  });
};
