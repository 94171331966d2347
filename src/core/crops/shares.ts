import type { Crop } from './crop.ts';

/** How the shares of a mix were given. */
export type ShareOf = 'count' | 'weight' | 'area';

/**
 * Shares of the area from shares given by seed count or weight: a seed takes the room its crop's usual
 * density gives it.
 * @param given one figure over 0 a crop, on any scale
 * @returns one share a crop, which make 1
 */
export function areaShares(crops: readonly Crop[], given: readonly number[], by: ShareOf): number[] {
  const room = crops.map((crop, index) => {
    const seeds = by === 'weight' ? given[index]! / crop.thousandSeedWeightG : given[index]!;
    return by === 'area' ? given[index]! : seeds / crop.seedsPerCm2.usual;
  });
  const all = room.reduce((sum, one) => sum + one, 0);
  return room.map((one) => one / all);
}
