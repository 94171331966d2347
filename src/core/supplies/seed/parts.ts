import { seedAmount } from './amount.ts';
import type { MixPart, BlendPortion } from '../../crops/blend.ts';

/** A portion of a mix with the lot its seed comes from. */
export interface PortionOfLot extends BlendPortion {
  lotId: string | null;
  /** Of the lot, percent; the crop's usual where not known. */
  germinationPct: number | null;
  variety?: string;
}

/**
 * Seed of each part of a blend for an area, each at its crop's usual density times `densityFactor` on its
 * share of the area.
 */
export function mixParts(portions: readonly PortionOfLot[], areaCm2: number, densityFactor = 1): MixPart[] {
  return portions.map(({ crop, areaShare, lotId, germinationPct, variety }) => ({
    cropKey: crop.key,
    areaShare,
    lotId,
    ...(variety ? { variety } : {}),
    seedG: seedAmount(
      crop,
      areaCm2 * areaShare,
      crop.seedsPerCm2.usual * densityFactor,
      germinationPct ?? undefined
    ).seedG
  }));
}
