import { text } from '@sveltejs/kit';
import { inHousehold } from '$server/db/connection.ts';
import type { RequestHandler } from './$types';

/** One query in the household's transaction: whether the database answers, and how long the least takes. */
export const GET: RequestHandler = async ({ locals }) => {
  await inHousehold(locals.session!.household.id, (tx) => tx`select 1`);
  return text('ok');
};
