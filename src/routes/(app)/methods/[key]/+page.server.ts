import { error, fail, redirect } from '@sveltejs/kit';
import type { Method } from '$core/methods/method.ts';
import { DEFAULT_METHOD, findMethod, READY_METHODS } from '$core/methods/ready.ts';
import { inHousehold } from '$server/db/connection.ts';
import { keepMethod, listMethods, retireMethod } from '$server/methods/methods.ts';
import { check } from '$shared/schemas/check.ts';
import { methodSchema } from '$shared/schemas/method.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const own = await inHousehold(locals.session!.household.id, listMethods);
  if (params.key === 'new') {
    const from = findMethod(url.searchParams.get('from') ?? '', own) ?? DEFAULT_METHOD;
    return { isNew: true, from: from.name, method: { ...from, key: `own-${crypto.randomUUID()}`, name: '' } };
  }
  const method = own.find(({ key }) => key === params.key);
  if (!method) error(404, 'There is no such method of your own.');
  return { isNew: false, from: method.name, method };
};

export const actions: Actions = {
  save: async ({ request, locals }) => {
    const { household } = locals.session!;
    const sent = String((await request.formData()).get('method') ?? '');
    let method: unknown = null;
    try {
      method = JSON.parse(sent);
    } catch {
      return fail(400, {
        errors: { name: 'This form is broken: reload the page.' } as Record<string, string>
      });
    }
    const checked = check(methodSchema, method);
    if (!checked.ok) return fail(422, { errors: checked.errors });
    if (READY_METHODS.some(({ key }) => key === checked.value.key))
      return fail(422, {
        errors: { name: 'A ready method stays as it is: make one from it.' } as Record<string, string>
      });
    await inHousehold(household.id, (tx) => keepMethod(tx, household.id, checked.value as unknown as Method));
    redirect(303, '/methods');
  },
  retire: async ({ locals, params }) => {
    await inHousehold(locals.session!.household.id, (tx) => retireMethod(tx, params.key));
    redirect(303, '/methods');
  }
};
