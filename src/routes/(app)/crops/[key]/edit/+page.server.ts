import { error, fail, redirect } from '@sveltejs/kit';
import { checkCrop, CROP_FIGURES } from '$core/crops/check.ts';
import type { Crop } from '$core/crops/crop.ts';
import { findCrop } from '$core/crops/library.ts';
import { inHousehold } from '$server/db/connection.ts';
import { keepOwnCrop, listOwnCrops, retireOwnCrop } from '$server/crops/ownCrops.ts';
import { plainNumber } from '$shared/schemas/plainNumber.ts';
import { ownCropWordsSchema } from '$shared/schemas/ownCrop.ts';
import { check } from '$shared/schemas/check.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** The crop that is edited: the household's own figures, a library crop, or for `new` the one to start from. */
async function startOf({ locals, params, url }: Pick<RequestEvent, 'locals' | 'params' | 'url'>) {
  const own = await inHousehold(locals.session!.household.id, (tx) => listOwnCrops(tx));
  const crops = own.map(({ crop }) => crop);
  const isNew = params.key === 'new';
  const from = findCrop(isNew ? (url.searchParams.get('from') ?? 'radish') : params.key, crops);
  if (!from) error(404, 'There is no such crop in the library.');
  const kept = own.find(({ crop }) => crop.key === params.key);
  return { isNew, from, basedOn: kept?.basedOn ?? from.key, kept: kept !== undefined };
}

export const load: PageServerLoad = async (event) => {
  const { isNew, from, basedOn, kept } = await startOf(event);
  return {
    isNew,
    kept,
    from,
    book: findCrop(basedOn) ?? null,
    crop: isNew ? { ...from, key: `own-${crypto.randomUUID()}`, name: '', botanicalName: '', note: '' } : from
  };
};

export const actions: Actions = {
  save: async (event) => {
    const { household } = event.locals.session!;
    const { isNew, from, basedOn } = await startOf(event);
    const kept = Object.fromEntries(await event.request.formData()) as Record<string, string>;
    const words = check(ownCropWordsSchema, kept);
    const figures: Partial<Record<string, number>> = {};
    for (const figure of Object.keys(CROP_FIGURES)) {
      const read = plainNumber(kept[figure]);
      figures[figure] = typeof read === 'number' ? read : NaN;
    }
    const density = (name: string) => Number(plainNumber(kept[`seedsPerCm2.${name}`]) ?? NaN);
    const crop: Crop = {
      ...from,
      ...(figures as Partial<Crop>),
      ...(words.ok ? words.value : {}),
      key: isNew ? kept.key! : from.key,
      seedsPerCm2: { sparse: density('sparse'), usual: density('usual'), dense: density('dense') }
    };
    const errors = { ...checkCrop(crop), ...(words.ok ? {} : words.errors) };
    if (isNew && !/^own-[0-9a-f-]{36}$/.test(crop.key))
      errors.name ??= 'This form is broken: reload the page.';
    if (Object.keys(errors).length > 0) return fail(422, { kept, errors });
    await inHousehold(household.id, (tx) => keepOwnCrop(tx, household.id, { crop, basedOn }));
    redirect(303, `/crops/${crop.key}`);
  },
  retire: async ({ locals, params }) => {
    await inHousehold(locals.session!.household.id, (tx) => retireOwnCrop(tx, params.key));
    redirect(303, '/crops');
  }
};
