import { json } from '@sveltejs/kit';
import { keepAppetite } from '$server/ahead/appetite.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { problemOf } from '$server/requests/problem.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { check } from '$contract/schemas/check.ts';
import { appetiteSchema } from '$contract/schemas/ahead.ts';
import type { RequestHandler } from './$types';

/** Keeps what the household eats, likes and has time for, in place of what there was. */
export const PUT: RequestHandler = api(async ({ request, locals }) => {
  const { household } = signedIn(locals);
  const checked = check(appetiteSchema, await readJson(request));
  if (!checked.ok) return json(problemOf('wrong', checked.errors), { status: 422 });
  await inSession(locals, (tx) => keepAppetite(tx, household.id, checked.value));
  return json({});
});
