import { json } from '@sveltejs/kit';
import { keepSession } from '$server/sessions/cookie.ts';
import { signIn } from '$server/sessions/sessions.ts';
import { check } from '$shared/schemas/check.ts';
import { signInSchema } from '$shared/schemas/household.ts';
import type { RequestHandler } from './$types';

/** Signs in without leaving the page, for somebody whose session ran out over an open form. */
export const POST: RequestHandler = async (event) => {
  const checked = check(signInSchema, await event.request.json().catch(() => null));
  if (!checked.ok) return json({ message: Object.values(checked.errors)[0] }, { status: 422 });
  const { name, passphrase, memberName } = checked.value;
  const result = await signIn(name, passphrase, memberName);
  if (!result.ok) return json({ message: result.say }, { status: 403 });
  keepSession(event, result.token);
  return json({ ok: true });
};
