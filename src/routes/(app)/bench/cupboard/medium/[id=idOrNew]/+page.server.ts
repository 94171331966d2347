import { t } from '$messages/t.ts';
import { error, redirect } from '@sveltejs/kit';
import { readParts } from '$core/supplies/media/coir.ts';
import type { MediumStock } from '$core/supplies/media/medium.ts';
import { saveMedium, listMedia, retireMedium } from '$server/cupboard/media.ts';
import { check } from '$contract/schemas/check.ts';
import { mediumSchema } from '$contract/schemas/cupboard.ts';
import { isId } from '$contract/text.ts';
import { plainNumber } from '$contract/schemas/plainNumber.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const media = await inSession(locals, listMedia);
  const medium = media.find(({ id }) => id === params.id) ?? null;
  if (!medium && params.id !== 'new') error(404, t('bench.thereNoSuchMediumCupboard'));
  return { medium, newId: crypto.randomUUID() };
};

export const actions: Actions = {
  save: form(async ({ locals }, fields) => {
    const { household } = signedIn(locals);
    const typed = (fields.parts ?? '').trim();
    const parts = typed === '' ? null : readParts(typed);
    const checked = check(mediumSchema, { ...fields, swellLKg: plainNumber(fields.swellLKg), parts });
    const errors: Record<string, string> = checked.ok ? {} : checked.errors;
    if (typed !== '' && parts === null) errors.parts = t('bench.writeEachPartWithNumber');
    if (!checked.ok || Object.keys(errors).length > 0) return notTaken(422, fields, errors);
    await inSession(locals, (tx) => saveMedium(tx, household.id, checked.value as MediumStock));
    redirect(303, '/bench/cupboard');
  }),
  retire: form(async ({ locals, params }) => {
    if (isId(params.id)) await inSession(locals, (tx) => retireMedium(tx, params.id));
    redirect(303, '/bench/cupboard');
  })
};
