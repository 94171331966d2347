import { text } from '@sveltejs/kit';
import { api } from '$server/requests/answer.ts';
import { inSession } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** One query in the household's transaction: whether the database answers, and how long the least takes. */
export const GET: RequestHandler = api(async ({ locals }) => {
  await inSession(locals, (tx) => tx`select 1`);
  return text('ok');
});
