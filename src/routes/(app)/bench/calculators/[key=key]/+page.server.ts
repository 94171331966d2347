import { t } from '$messages/t.ts';
import { error } from '@sveltejs/kit';
import { findCalculator } from '$core/calculators/registry.ts';
import { listOwnCrops } from '$server/crops/ownCrops.ts';
import { inSession } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  if (params.key !== 'units' && !findCalculator(params.key)) error(404, t('bench.thereNoSuchCalculator'));
  const own = await inSession(locals, (tx) => listOwnCrops(tx));
  return { key: params.key, ownCrops: own.map(({ crop }) => crop), params: [...url.searchParams] };
};
