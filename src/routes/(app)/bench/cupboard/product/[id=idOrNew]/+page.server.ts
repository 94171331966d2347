import { t } from '$messages/t.ts';
import { error, redirect } from '@sveltejs/kit';
import type { Product } from '$core/supplies/seed/product.ts';
import { listProducts, retireProduct, saveProduct } from '$server/cupboard/products.ts';
import { check } from '$contract/schemas/check.ts';
import { productSchema } from '$contract/schemas/cupboard.ts';
import { isId } from '$contract/text.ts';
import { plainNumber } from '$contract/schemas/plainNumber.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import { tooWeakWords } from '$words/disinfect.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const products = await inSession(locals, listProducts);
  const product = products.find(({ id }) => id === params.id) ?? null;
  if (!product && params.id !== 'new') error(404, t('bench.thereNoSuchProductCupboard'));
  return { product, newId: crypto.randomUUID() };
};

export const actions: Actions = {
  save: form(async ({ locals }, fields) => {
    const { household } = signedIn(locals);
    const checked = check(productSchema, { ...fields, strengthPct: plainNumber(fields.strengthPct) });
    if (!checked.ok) return notTaken(422, fields, checked.errors);
    const product = checked.value as Product;
    const tooWeak = await inSession(locals, (tx) => saveProduct(tx, household.id, product));
    if (tooWeak.length > 0) return notTaken(422, fields, { strengthPct: tooWeakWords(tooWeak) });
    redirect(303, '/bench/cupboard');
  }),
  retire: form(async ({ locals, params }) => {
    if (isId(params.id)) await inSession(locals, (tx) => retireProduct(tx, params.id));
    redirect(303, '/bench/cupboard');
  })
};
