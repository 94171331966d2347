import type { Crop } from '$core/crops/crop.ts';

const QUANTITY = /borag|buckwheat|fagopyrum|\bflax|linseed|\blinum|\bsorrel|rumex/i;
const ALLERGENS = /mustard|sinapis|\bbrassica (nigra|juncea)|sesam|fenugreek|trigonella/i;

/**
 * What must be said of eating a crop, in one line; null for most. It goes by any of the crop's names, so
 * that it holds for a household's own crops too. No medical advice.
 */
export function edibleNote({ key, name, botanicalName, family }: Crop): string | null {
  const names = `${name} ${botanicalName}`;
  if (QUANTITY.test(names))
    return 'Eat it in small amounts, not daily. A clinician can say what is right for you.';
  if (ALLERGENS.test(names)) return 'A known food allergen: say so to whoever eats with you.';
  if (family === 'Apiaceae')
    return 'Of the celery family, which some people are allergic to: say so to whoever eats with you.';
  if (key === 'alfalfa') return 'Its sprouts have often carried germs: people at higher risk should cook it.';
  return null;
}
