import { openings } from '$server/app/openings.ts';
import { readAppetite } from '$server/ahead/appetite.ts';
import { householdOptions } from '$server/app/householdOptions.ts';
import { listContainers } from '$server/sowings/containers.ts';
import { listProducts } from '$server/cupboard/products.ts';
import { lastStrengths } from '$server/sowings/strengths.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  signedIn(locals);
  return inSession(locals, async (tx) => {
    const options = await householdOptions(tx);
    const [lastUsed, appetite, standing, strengths, products] = await Promise.all([
      listContainers(tx),
      readAppetite(tx),
      openings(tx, options.household),
      lastStrengths(tx),
      listProducts(tx)
    ]);
    return {
      ...options,
      lastUsed,
      appetite,
      strengths,
      products,
      ...standing,
      cropKey: url.searchParams.get('crop') ?? ''
    };
  });
};
