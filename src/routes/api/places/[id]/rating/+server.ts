import { json } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import { sureOfRating } from '$server/households/places.ts';
import type { RequestHandler } from './$types';

/** Somebody has looked at what a place is rated for, and says that it holds. Saying so again is fine. */
export const POST: RequestHandler = async ({ locals, params }) => {
  await inHousehold(locals.session!.household.id, (tx) => sureOfRating(tx, params.id));
  return json({ sure: true });
};
