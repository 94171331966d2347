import { text } from '@sveltejs/kit';
import { aheadOf } from '$core/ahead/household.ts';
import { seedOf } from '$core/ahead/drawn.ts';
import { aheadData } from '$server/app/aheadData.ts';
import { api } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { seedLine } from '$words/ahead.ts';
import type { RequestHandler } from './$types';

/** What seed is to be bought, a line each, for a message or a note. */
export const GET: RequestHandler = api(async ({ locals }) => {
  const { household } = signedIn(locals);
  const data = await inSession(locals, aheadData);
  const lines = seedOf(data, aheadOf(data))
    .filter(({ buyG }) => buyG > 0)
    .map((need) => seedLine(need, data.now, household));
  return text(`${lines.length > 0 ? lines.join('\n') : 'There is enough of everything.'}\n`, {
    headers: { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' }
  });
});
