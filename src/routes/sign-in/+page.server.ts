import { fail, redirect } from '@sveltejs/kit';
import { keepSession } from '$server/sessions/cookie.ts';
import { anyHousehold, signIn } from '$server/sessions/sessions.ts';
import { check } from '$shared/schemas/check.ts';
import { signInSchema } from '$shared/schemas/household.ts';
import type { Actions, PageServerLoad } from './$types';

/** Only to an address of this application. */
const safe = (to: string | null): string => (to && /^\/(?!\/|\\)/.test(to) ? to : '/round');

export const load: PageServerLoad = async ({ locals, url }) => {
  if (locals.session) redirect(303, safe(url.searchParams.get('to')));
  if (!(await anyHousehold())) redirect(303, '/welcome');
};

export const actions: Actions = {
  default: async (event) => {
    const sent = Object.fromEntries(await event.request.formData()) as Record<string, string>;
    const kept = { name: sent.name ?? '', memberName: sent.memberName ?? '' };
    const checked = check(signInSchema, sent);
    if (!checked.ok) return fail(422, { ...kept, errors: checked.errors, say: null });
    const result = await signIn(checked.value.name, checked.value.passphrase, checked.value.memberName);
    if (!result.ok) return fail(403, { ...kept, errors: {} as Record<string, string>, say: result.say });
    keepSession(event, result.token);
    redirect(303, safe(event.url.searchParams.get('to')));
  }
};
