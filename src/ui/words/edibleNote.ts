import type { Crop } from '$core/crops/crop.ts';

const QUANTITY = new Set(['borage', 'buckwheat', 'flax', 'sorrel']);
const ALLERGEN_FAMILIES = new Set(['Apiaceae']);
const ALLERGENS = new Set(['mustard', 'sesame', 'fenugreek']);

/** What must be said of eating a crop, in one line; null for most. No medical advice. */
export function edibleNote(crop: Crop): string | null {
  if (QUANTITY.has(crop.key))
    return 'Eat it in small amounts, not daily. A clinician can say what is right for you.';
  if (ALLERGENS.has(crop.key)) return 'A known food allergen: say so to whoever eats with you.';
  if (ALLERGEN_FAMILIES.has(crop.family))
    return 'Of the celery family, which some people are allergic to: say so to whoever eats with you.';
  if (crop.key === 'alfalfa')
    return 'Its sprouts have often carried germs: people at higher risk should cook it.';
  return null;
}
