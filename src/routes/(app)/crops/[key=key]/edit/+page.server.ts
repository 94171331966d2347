import { t } from '$messages/t.ts';
import { UNIT_OF_DENSITY } from '$core/units/format.ts';
import { parseQuantity } from '$core/units/parseQuantity.ts';
import { error, redirect } from '@sveltejs/kit';
import { checkCrop } from '$core/crops/check.ts';
import { FIGURES, NUMBER_KEYS } from '$core/crops/figures.ts';
import { keptIn, shownIn } from '$core/units/field.ts';
import { cropProblemWords } from '$words/cropFigures.ts';
import { confirmationOf, doubtIn, verdictOnPlant } from '$core/crops/names/verdict.ts';
import { CONFIRM_OR_RENAME } from '$words/plantNames.ts';
import type { Crop } from '$core/crops/crop.ts';
import { findCrop } from '$core/crops/library.ts';
import { rebuild } from '$server/app/rebuild.ts';
import { saveOwnCrop, listOwnCrops, retireOwnCrop } from '$server/crops/ownCrops.ts';
import { plainNumber } from '$contract/schemas/plainNumber.ts';
import { ownCropWordsSchema } from '$contract/schemas/ownCrop.ts';
import { check } from '$contract/schemas/check.ts';
import { form, notTaken } from '$server/requests/answer.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** The crop that is edited: the household's own figures, a library crop, or for `new` the one to start from. */
async function startOf({ locals, params, url }: Pick<RequestEvent, 'locals' | 'params' | 'url'>) {
  const own = await inSession(locals, (tx) => listOwnCrops(tx));
  const crops = own.map(({ crop }) => crop);
  const isNew = params.key === 'new';
  const from = findCrop(isNew ? (url.searchParams.get('from') ?? 'radish') : params.key, crops);
  if (!from) error(404, t('crops.thereNoSuchCropLibrary'));
  const ownCrop = own.find(({ crop }) => crop.key === params.key);
  return { isNew, from, basedOn: ownCrop?.basedOn ?? from.key, isOwn: ownCrop !== undefined };
}

export const load: PageServerLoad = async (event) => {
  const { isNew, from, basedOn, isOwn } = await startOf(event);
  return {
    isNew,
    isOwn,
    from,
    book: findCrop(basedOn) ?? null,
    crop: isNew ? { ...from, key: `own-${crypto.randomUUID()}`, name: '', botanicalName: '', note: '' } : from
  };
};

export const actions: Actions = {
  save: form(async (event: RequestEvent, fields) => {
    const { household } = signedIn(event.locals);
    const { isNew, from, basedOn } = await startOf(event);
    const words = check(ownCropWordsSchema, fields);
    const figures: Partial<Record<string, number>> = {};
    for (const figure of NUMBER_KEYS) {
      const { unit } = FIGURES[figure];
      const read = plainNumber(fields[figure]);
      // An unchanged field keeps the exact stored value.
      if (fields[figure]?.trim() === shownIn(from[figure], unit, household.units)) continue;
      figures[figure] = typeof read === 'number' ? keptIn(read, unit, household.units) : NaN;
    }
    const density = (name: string) => {
      const typed = String(fields[`seedsPerCm2.${name}`] ?? '');
      const parsed = parseQuantity(typed, 'density', UNIT_OF_DENSITY[household.units]);
      return parsed.ok ? parsed.value : NaN;
    };
    const crop: Crop = {
      ...from,
      ...(figures as Partial<Crop>),
      ...(words.ok ? words.value : {}),
      key: isNew ? (fields.key ?? '') : from.key,
      seedsPerCm2: { sparse: density('sparse'), usual: density('usual'), dense: density('dense') }
    };
    const errors: Record<string, string> = {
      ...cropProblemWords(checkCrop(crop), household.units),
      ...(words.ok ? {} : words.errors)
    };
    if (isNew && !/^own-[0-9a-f-]{36}$/.test(crop.key)) errors.name ??= t('crops.formBrokenReloadPage');
    const doubt = doubtIn(verdictOnPlant(crop));
    if (!errors.name && doubt && fields.sure !== confirmationOf(doubt, crop))
      errors.sure = CONFIRM_OR_RENAME();
    if (Object.keys(errors).length > 0) return notTaken(422, fields, errors);
    await inSession(event.locals, async (tx) => {
      await saveOwnCrop(tx, household.id, { crop, basedOn });
      await rebuild(tx, { cropKey: crop.key });
    });
    redirect(303, `/crops/${crop.key}`);
  }),
  retire: form(async ({ locals, params }: RequestEvent) => {
    await inSession(locals, async (tx) => {
      await retireOwnCrop(tx, params.key);
      await rebuild(tx, { cropKey: params.key });
    });
    redirect(303, '/crops');
  })
};
