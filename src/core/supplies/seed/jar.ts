import type { Crop } from '../../crops/crop.ts';
import { bulkDensityGMl } from './spoons.ts';

/** Volumes for one soak, in mL. */
export interface Jar {
  dryMl: number;
  swollenMl: number;
  waterMl: number;
  /** The smallest jar that holds swollen seed and water. */
  jarMl: number;
}

/** How many times its dry volume seed fills after soaking (docs/model.md, 8; starting figures). */
export function swelling(crop: Crop): number {
  if (crop.key.startsWith('pea')) return 2.2;
  return crop.family === 'Fabaceae' || crop.family === 'Poaceae' ? 1.8 : 1.5;
}

/** Water for a soak, times the dry volume of the seed, where the jar allows it (docs/model.md, 8). */
export const WATER_TIMES_DRY = 5;

/** Water for a soak and the jar that holds it with the swollen seed. */
export function jarFor(crop: Crop, seedG: number): Jar {
  const dryMl = seedG / bulkDensityGMl(crop);
  const swollenMl = dryMl * swelling(crop);
  const waterMl = dryMl * WATER_TIMES_DRY;
  return { dryMl, swollenMl, waterMl, jarMl: swollenMl + waterMl };
}
