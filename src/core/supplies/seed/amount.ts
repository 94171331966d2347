import type { Crop } from '../../crops/crop.ts';

/** Seed in g for an area (docs/model.md, 1). */
export interface SeedAmount {
  seedG: number;
  seeds: number;
  areaCm2: number;
  seedsPerCm2: number;
  /** What the lot's germination adds, as a factor on the seed: 1 for a lot as good as usual. */
  germinationFactor: number;
  /** Set where so little of the lot sprouts that better seed is the answer, not more of it. */
  weakLot: boolean;
}

/** Below this a lot is warned about, in percent. */
export const WEAK_GERMINATION_PCT = 70;

/**
 * Seed for an area at a density, corrected for a lot that germinates worse or better than usual.
 * @param areaCm2 all containers together, in cm2
 * @param seedsPerCm2 at usual germination
 * @param germinationPct of the lot, over 0 to 100; the crop's usual where not known
 * @throws RangeError for an area or a density under 0, or a germination out of those bounds
 */
export function seedAmount(
  crop: Crop,
  areaCm2: number,
  seedsPerCm2: number,
  germinationPct?: number
): SeedAmount {
  const lot = germinationPct ?? crop.germinationPct;
  if (!(areaCm2 >= 0 && seedsPerCm2 >= 0))
    throw new RangeError(`No seed lies ${seedsPerCm2}/cm² on ${areaCm2} cm².`);
  if (!(lot > 0 && lot <= 100)) throw new RangeError(`No lot germinates to ${lot} %.`);
  const germinationFactor = crop.germinationPct / lot;
  const seeds = areaCm2 * seedsPerCm2 * germinationFactor;
  return {
    seedG: (seeds * crop.thousandSeedWeightG) / 1000,
    seeds,
    areaCm2,
    seedsPerCm2,
    germinationFactor,
    weakLot: lot < WEAK_GERMINATION_PCT
  };
}

/**
 * The density that a weight of seed comes to on an area: the other way round of {@link seedAmount}.
 * @returns seeds per cm2 at usual germination
 */
export function densityOf(crop: Crop, areaCm2: number, seedG: number, germinationPct?: number): number {
  const germinationFactor = crop.germinationPct / (germinationPct ?? crop.germinationPct);
  return (seedG * 1000) / (crop.thousandSeedWeightG * areaCm2 * germinationFactor);
}
