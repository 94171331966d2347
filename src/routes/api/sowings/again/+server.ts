import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import * as yup from 'yup';
import { sowAgain } from '$server/app/sowAgain.ts';
import { Wrong } from '$server/app/sow.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { problemOf } from '$server/requests/problem.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { check } from '$contract/schemas/check.ts';
import { id } from '$contract/schemas/primitives.ts';
import type { RequestHandler } from './$types';

const schema = yup.object({
  sowingId: id(() => t('api.whichSowing')).required(() => t('api.whichSowing')),
  ids: yup.object({ first: id().required(), second: id().required(), container: id().required() }).required()
});

/** Sows the same again, its own grams and choices kept. Sending it again adds nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const session = signedIn(locals);
  const checked = check(schema, await readJson(request));
  if (!checked.ok) return json(problemOf('wrong', checked.errors), { status: 422 });
  try {
    const { ids, added } = await inSession(locals, (tx) => sowAgain(tx, session, checked.value));
    return json({ ids }, { status: added ? 201 : 200 });
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    return json(problemOf('wrong', { [error.field]: error.message }), { status: error.status });
  }
});
