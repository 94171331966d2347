import type { Crop } from '../crops/crop.ts';

/** Washing costs so many days of keeping (docs/model.md, 12). */
const WASHED_COST_D = 2;

/** Days that what is cut keeps, by how it is handled: never less than one. */
export function keepingDays(
  { keepsMinD, keepsMaxD }: Pick<Crop, 'keepsMinD' | 'keepsMaxD'>,
  washing: 'unwashed' | 'washed'
): { minD: number; maxD: number } {
  const cost = washing === 'washed' ? WASHED_COST_D : 0;
  return { minD: Math.max(1, keepsMinD - cost), maxD: Math.max(1, keepsMaxD - cost) };
}
