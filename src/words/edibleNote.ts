import { t } from '$messages/t.ts';
import type { Crop } from '$core/crops/crop.ts';

const QUANTITY = /borag|buckwheat|fagopyrum|\bflax|linseed|\blinum|\bsorrel|rumex/i;
const ALLERGENS = /mustard|sinapis|\bbrassica (nigra|juncea)|sesam|fenugreek|trigonella/i;

/**
 * What must be said of eating a crop, in one line; null for most. It goes by any of the crop's names, so
 * that it holds for a household's own crops too. No medical advice.
 */
export function edibleNote({ key, name, botanicalName, family }: Crop): string | null {
  const names = `${name} ${botanicalName}`;
  if (QUANTITY.test(names)) return t('crops.eatSmallAmountsNotDaily');
  if (ALLERGENS.test(names)) return t('crops.knownFoodAllergenSaySo');
  if (family === 'Apiaceae') return t('crops.celeryFamilyWhichSomePeople');
  if (key === 'alfalfa') return t('crops.sproutsHaveOftenCarriedGerms');
  return null;
}
