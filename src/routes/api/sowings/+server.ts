import { json } from '@sveltejs/kit';
import { sow, Wrong } from '$server/app/sow.ts';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { check } from '$contract/schemas/check.ts';
import { newSowingSchema } from '$contract/schemas/sowing.ts';
import type { RequestHandler } from './$types';

/** Adds what was chosen, worked out here as the page worked it out. Sending it again adds nothing. */
export const POST: RequestHandler = api(async ({ request, locals }) => {
  const session = signedIn(locals);
  const checked = check(newSowingSchema, await readJson(request));
  if (!checked.ok) return json({ errors: checked.errors, code: 'wrong' }, { status: 422 });
  try {
    const { ids, added } = await inSession(locals, (tx) => sow(tx, session, checked.value));
    return json({ ids }, { status: added ? 201 : 200 });
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    return json(
      { errors: { [error.field]: error.message }, code: error.status === 409 ? 'changed' : 'wrong' },
      { status: error.status }
    );
  }
});
