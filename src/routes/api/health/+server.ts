import { t } from '$messages/t.ts';
import { text } from '@sveltejs/kit';
import { isPassing } from '$server/db/unavailable.ts';
import { anyHousehold } from '$server/sessions/sessions.ts';

/** Whoever watches is told the truth within this, ms. */
const SOON = 800;

/** For whoever watches the server: `brote` where the database answers, 503 and why where it does not. */
export const GET = async () => {
  try {
    await anyHousehold(SOON);
    return text('brote');
  } catch (error) {
    if (!isPassing(error)) throw error;
    return text(t('api.databaseDoesNotAnswer'), { status: 503, headers: { 'retry-after': '2' } });
  }
};
