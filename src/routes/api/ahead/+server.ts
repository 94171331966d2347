import { json } from '@sveltejs/kit';
import { takePlan } from '$server/app/takePlan.ts';
import { Wrong } from '$server/app/sow.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { problemOf } from '$server/requests/problem.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { checkLists } from '$server/requests/checkLists.ts';
import { planSchema } from '$contract/schemas/ahead.ts';
import type { RequestHandler } from './$types';

/** Takes what was chosen of a plan, all of it or nothing. Sending it again changes nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const session = signedIn(locals);
  const checked = await checkLists(planSchema, await readJson(request));
  if (!checked.ok) return json(problemOf('wrong', checked.errors), { status: 422 });
  try {
    return json({ added: await inSession(locals, (tx) => takePlan(tx, session, checked.value)) });
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    const code = error.status === 409 ? 'changed' : 'wrong';
    return json(problemOf(code, { [error.field]: error.message }), { status: error.status });
  }
});
