import { json } from '@sveltejs/kit';
import { api } from '$server/requests/answer.ts';
import { readJson } from '$server/requests/body.ts';
import { callerOf, keepAdmitted } from '$server/sessions/cookie.ts';
import { signIn } from '$server/sessions/signIn.ts';
import { check } from '$contract/schemas/check.ts';
import { signInSchema } from '$contract/schemas/household.ts';
import type { RequestHandler } from './$types';

/** Signs in without leaving the page, for somebody whose session ran out over an open form. */
export const POST: RequestHandler = api(async (event) => {
  const checked = check(signInSchema, await readJson(event.request));
  if (!checked.ok) return json({ message: Object.values(checked.errors)[0], code: 'wrong' }, { status: 422 });
  const { name, passphrase, memberName } = checked.value;
  const result = await signIn(name, passphrase, memberName, callerOf(event));
  if (!result.ok)
    return json({ message: result.say, code: result.kind }, { status: result.kind === 'wait' ? 429 : 403 });
  keepAdmitted(event, result);
  return json({ ok: true });
});
