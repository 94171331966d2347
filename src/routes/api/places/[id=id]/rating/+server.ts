import { json } from '@sveltejs/kit';
import { sureOfRating } from '$server/households/places.ts';
import { api } from '$server/requests/answer.ts';
import { inSession } from '$server/requests/session.ts';
import type { RequestHandler } from './$types';

/** Somebody has looked at what a place is rated for, and says that it holds. Saying so again is fine. */
export const POST: RequestHandler = api(async ({ locals, params }) => {
  await inSession(locals, (tx) => sureOfRating(tx, params.id ?? ''));
  return json({ sure: true });
});
