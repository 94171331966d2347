import { t } from '$messages/t.ts';
import { json } from '@sveltejs/kit';
import type { ApiProblem } from '$contract/api.ts';
import { askedBackG, saveAppetite, savePortion } from '$server/ahead/appetite.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { problemOf } from '$server/requests/problem.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { check } from '$contract/schemas/check.ts';
import { appetiteSchema, portionSchema } from '$contract/schemas/ahead.ts';
import { muchEatenWords } from '$words/ahead.ts';
import type { RequestHandler } from './$types';

/** Keeps what the household eats, likes and has time for, in place of what there was. */
export const PUT: RequestHandler = api(async ({ request, locals }) => {
  const { household } = signedIn(locals);
  const checked = check(appetiteSchema, await readJson(request));
  if (!checked.ok) return json(problemOf('wrong', checked.errors), { status: 422 });
  const askedBack = await inSession(locals, async (tx) => {
    const much = checked.value.sure ? null : await askedBackG(tx, checked.value.eaters);
    if (much === null) await saveAppetite(tx, household.id, checked.value);
    return much;
  });
  return askedBack === null
    ? json({})
    : json({ code: 'implausible', message: muchEatenWords(askedBack, household) } satisfies ApiProblem, {
        status: 422
      });
});

/** Keeps one portion a day for each, where nobody has said yet what is eaten. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const { household } = signedIn(locals);
  const checked = check(portionSchema, await readJson(request));
  if (!checked.ok) return json(problemOf('wrong', checked.errors), { status: 422 });
  const isSaved = await inSession(locals, (tx) => savePortion(tx, household.id, checked.value));
  return isSaved
    ? json({})
    : json(problemOf('changed', { portion: t('api.somebodyHasSaidWhatYou') }), { status: 409 });
});
