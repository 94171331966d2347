import { methodName } from '$words/methods.ts';
import { t } from '$messages/t.ts';
import { error, redirect } from '@sveltejs/kit';
import type { Method } from '$core/supplies/methods/method.ts';
import { DEFAULT_METHOD, findMethod, READY_METHODS } from '$core/supplies/methods/ready.ts';
import { listProducts } from '$server/cupboard/products.ts';
import { householdNow } from '$server/households/household.ts';
import { saveMethod, listMethods, retireMethod } from '$server/methods/methods.ts';
import { check } from '$contract/schemas/check.ts';
import { methodSchema } from '$contract/schemas/method.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { parseJson } from '$server/requests/body.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { isoDay } from '$words/time.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const [own, products] = await inSession(locals, (tx) => Promise.all([listMethods(tx), listProducts(tx)]));
  const today = isoDay(householdNow(signedIn(locals).household), signedIn(locals).household.zone);
  if (params.key === 'new') {
    const from = findMethod(url.searchParams.get('from') ?? '', own) ?? DEFAULT_METHOD;
    return {
      products,
      today,
      isNew: true,
      from: methodName(from),
      method: { ...from, key: `own-${crypto.randomUUID()}`, name: '' }
    };
  }
  const method = own.find(({ key }) => key === params.key);
  if (!method) error(404, t('methods.thereNoSuchMethodYour'));
  return { products, today, isNew: false, from: methodName(method), method };
};

export const actions: Actions = {
  save: form(async ({ locals }, fields) => {
    const checked = check(methodSchema, parseJson(fields.method ?? ''));
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    if (READY_METHODS.some(({ key }) => key === checked.value.key))
      return notTaken(422, fields, { name: t('methods.readyMethodStaysAsMake') });
    const { id } = signedIn(locals).household;
    await inSession(locals, (tx) => saveMethod(tx, id, checked.value as unknown as Method));
    redirect(303, '/methods');
  }),
  retire: form(async ({ locals, params }) => {
    await inSession(locals, (tx) => retireMethod(tx, params.key ?? ''));
    redirect(303, '/methods');
  })
};
