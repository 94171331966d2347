import type { Crop } from '../../crops/crop.ts';
import { unitFactor } from '../../units/parseQuantity.ts';

/** Bulk density of dry seed in g per mL by family; starting figures, as seed lies in a spoon. */
const FAMILY_G_ML: Record<string, number> = {
  Amaranthaceae: 0.78,
  Amaryllidaceae: 0.5,
  Apiaceae: 0.42,
  Asteraceae: 0.45,
  Boraginaceae: 0.5,
  Brassicaceae: 0.7,
  Fabaceae: 0.8,
  Lamiaceae: 0.62,
  Linaceae: 0.68,
  Pedaliaceae: 0.6,
  Poaceae: 0.75,
  Polygonaceae: 0.64,
  Tropaeolaceae: 0.34
};

/** Crops whose seed lies otherwise than its family's: clusters, husks and the like. */
const CROP_G_ML: Record<string, number> = {
  beet: 0.27,
  chard: 0.27,
  oat: 0.5,
  barley: 0.62,
  'maize-shoot': 0.78
};

/** Bulk density of a crop's dry seed in g per mL (starting figure). */
export const bulkDensityGMl = (crop: Crop): number => CROP_G_ML[crop.key] ?? FAMILY_G_ML[crop.family] ?? 0.65;

export interface Spoons {
  unit: 'tsp' | 'tbsp' | 'cup';
  /** To the nearest quarter; under a teaspoon, and of a cup, to the nearest eighth. */
  count: number;
}

/** Less than this of a teaspoon no spoon measures. */
const LEAST_TSP = 0.09;

/** The spoons, or above 8 tablespoons the cups, that hold that much dry seed; null for so little that it is to be weighed. */
export function spoonsFor(crop: Crop, seedG: number): Spoons | null {
  return spoonsOf(seedG / bulkDensityGMl(crop));
}

/** The spoons or cups that hold so many mL; null for less than any spoon measures. */
export function spoonsOf(mL: number): Spoons | null {
  const teaspoons = mL / unitFactor('volume', 'tsp')!;
  if (teaspoons < LEAST_TSP) return null;
  if (teaspoons < 1) return { unit: 'tsp', count: Math.max(0.125, Math.round(teaspoons * 8) / 8) };
  if (teaspoons < 3) return { unit: 'tsp', count: Math.round(teaspoons * 4) / 4 };
  if (teaspoons < 24) return { unit: 'tbsp', count: Math.round((teaspoons / 3) * 4) / 4 };
  return { unit: 'cup', count: Math.round((mL / unitFactor('volume', 'cup')!) * 8) / 8 };
}
