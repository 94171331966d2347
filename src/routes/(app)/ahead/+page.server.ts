import { aheadData } from '$server/app/aheadData.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

/** More trays and standing orders than so many are worked out by the browser alone: the server has others to answer. */
const MOST_WORKED_OUT = 30;

export const load: PageServerLoad = async ({ locals, depends, url }) => {
  depends('brote:sowings');
  signedIn(locals);
  const ahead = await inSession(locals, aheadData);
  return {
    ahead,
    small: ahead.records.length + ahead.orders.length <= MOST_WORKED_OUT,
    chosen: url.searchParams.get('chosen')
  };
};
