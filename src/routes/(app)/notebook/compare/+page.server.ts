import { isId } from '$contract/text.ts';
import { storiesOf } from '$server/app/storiesOf.ts';
import { listLots } from '$server/cupboard/lots.ts';
import { listMedia } from '$server/cupboard/media.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

/** As many as a screen shows beside each other. */
const MOST = 8;

export const load: PageServerLoad = async ({ locals, url }) => {
  signedIn(locals);
  const asked = [...new Set(url.searchParams.getAll('id').filter(isId))];
  return inSession(locals, async (tx) => {
    const [{ stories, currency }, lots, media] = await Promise.all([
      storiesOf(tx, asked.slice(0, MOST)),
      listLots(tx),
      listMedia(tx)
    ]);
    const names = Object.fromEntries([...lots, ...media].map(({ id, name }) => [id, name]));
    return { stories, currency, names, left: Math.max(0, asked.length - MOST) };
  });
};
