import { error } from '@sveltejs/kit';
import { readBook } from '$server/households/book.ts';
import { householdNow } from '$server/households/household.ts';
import { findBeside, findSowing } from '$server/sowings/sowings.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { LayoutServerLoad } from './$types';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

export const load: LayoutServerLoad = async ({ locals, params, depends }) => {
  depends('brote:sowings');
  const { household } = signedIn(locals);
  const found = UUID.test(params.id)
    ? await inSession(locals, async (tx) => {
        const [record, book] = await Promise.all([findSowing(tx, params.id), readBook(tx)]);
        const beside = record && (await findBeside(tx, record.setup));
        return record && { ...book, record, beside, now: householdNow(household) };
      })
    : null;
  // The same answer for a tray that never was and for another household's.
  if (!found) error(404, 'There is no such tray here.');
  return found;
};
