import { t } from '$messages/t.ts';
import { error } from '@sveltejs/kit';
import { findCrop } from '$core/crops/library.ts';
import { listOwnCrops } from '$server/crops/ownCrops.ts';
import { listLessons } from '$server/sowings/learned.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const [own, { learned, yields }] = await inSession(locals, (tx) =>
    Promise.all([listOwnCrops(tx), listLessons(tx)])
  );
  const ownCrop = own.find(({ crop }) => crop.key === params.key) ?? null;
  const crop = ownCrop?.crop ?? findCrop(params.key);
  if (!crop) error(404, t('crops.thereNoSuchCropLibrary'));
  return {
    crop,
    learned,
    yields,
    own: ownCrop !== null,
    book: findCrop(ownCrop?.basedOn ?? params.key) ?? null
  };
};
