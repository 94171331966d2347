import { text } from '@sveltejs/kit';
import { api } from '$server/requests/answer.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** One query in the household's transaction: whether the database answers, and the household's time. */
export const GET: RequestHandler = api(async ({ locals }) => {
  await inSession(locals, (tx) => tx`select 1`);
  return text(String(householdNow(signedIn(locals).household)));
});
