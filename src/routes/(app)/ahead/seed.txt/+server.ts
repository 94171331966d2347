import { t } from '$messages/t.ts';
import { text } from '@sveltejs/kit';
import { householdSeedNeeds } from '$server/app/seedNeeds.ts';
import { householdNow } from '$server/households/household.ts';
import { api } from '$server/requests/answer.ts';
import { signedIn } from '$server/requests/session.ts';
import { seedLine } from '$words/ahead.ts';
import type { RequestHandler } from './$types';

/** What seed is to be bought, a line each, for a message or a note. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const { household } = signedIn(locals);
  const lines = (await householdSeedNeeds(locals))
    .filter(({ buyG }) => buyG > 0)
    .map((need) => seedLine(need, householdNow(household), household));
  return text(`${lines.length > 0 ? lines.join('\n') : t('ahead.enoughSeed')}\n`, {
    headers: { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' }
  });
});
