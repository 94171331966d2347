import { json } from '@sveltejs/kit';
import { sow, Wrong } from '$server/app/sow.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { problemOf } from '$server/requests/problem.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { check } from '$contract/schemas/check.ts';
import { newSowingSchema } from '$contract/schemas/sowing.ts';
import type { RequestHandler } from './$types';

/** Adds what was chosen, worked out here as the page worked it out. Sending it again adds nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const session = signedIn(locals);
  const checked = check(newSowingSchema, await readJson(request));
  if (!checked.ok) return json(problemOf('wrong', checked.errors), { status: 422 });
  try {
    const { ids, added } = await inSession(locals, (tx) => sow(tx, session, checked.value));
    return json({ ids }, { status: added ? 201 : 200 });
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    const code = error.status === 409 ? 'changed' : 'wrong';
    return json(problemOf(code, { [error.field]: error.message }), { status: error.status });
  }
});
