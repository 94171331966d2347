import { error } from '@sveltejs/kit';
import { findCrop } from '$core/crops/library.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params }) => {
  const crop = findCrop(params.key);
  if (!crop) error(404, 'There is no such crop in the library.');
  return { crop };
};
