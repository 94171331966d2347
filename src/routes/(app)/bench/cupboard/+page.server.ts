import { listLots } from '$server/cupboard/lots.ts';
import { listMedia } from '$server/cupboard/media.ts';
import { listProducts } from '$server/cupboard/products.ts';
import { ownCropsOf } from '$server/crops/ownCrops.ts';
import { listContainerStock } from '$server/sowings/containers.ts';
import { householdNow } from '$server/households/household.ts';
import { inSession, signedIn } from '$server/requests/session.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
  depends('brote:sowings');
  const { household } = signedIn(locals);
  return inSession(locals, async (tx) => {
    const [lots, media, products, containers, ownCrops] = await Promise.all([
      listLots(tx),
      listMedia(tx),
      listProducts(tx),
      listContainerStock(tx),
      ownCropsOf(tx)
    ]);
    return { lots, media, products, containers, ownCrops, now: householdNow(household) };
  });
};
