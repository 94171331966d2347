import { redirect } from '@sveltejs/kit';
import { ownPath } from '$server/door/origin.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { available } from '$server/requests/session.ts';
import { callerOf, keepAdmitted } from '$server/sessions/cookie.ts';
import { mayBegin } from '$server/sessions/welcome.ts';
import { anyHousehold } from '$server/sessions/sessions.ts';
import { signIn } from '$server/sessions/signIn.ts';
import { check } from '$contract/schemas/check.ts';
import { signInSchema } from '$contract/schemas/household.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  if (locals.session) redirect(303, ownPath(url.searchParams.get('to'), url));
  if (!(await available(anyHousehold))) redirect(303, '/welcome');
  return { open: await available(mayBegin) };
};

export const actions: Actions = {
  default: form(async (event: RequestEvent, { passphrase, ...fields }) => {
    const checked = check(signInSchema, { ...fields, passphrase });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const result = await signIn(
      checked.value.name,
      checked.value.passphrase,
      checked.value.memberName,
      callerOf(event)
    );
    if (!result.ok) return notTaken(result.kind === 'wait' ? 429 : 403, fields, {}, result.say);
    keepAdmitted(event, result);
    redirect(303, ownPath(event.url.searchParams.get('to'), event.url));
  })
};
