import type { Density } from '../crops/crop.ts';
import type { ShareOf } from '../crops/shares.ts';
import type { Container } from '../supplies/containers/container.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import type { Method } from '../supplies/methods/method.ts';
import type { SowingKind } from '../sowing/planSowing.ts';

/** One crop of what was chosen, by its keys. */
export interface PartData {
  cropKey: string;
  /** The lot its seed comes from; null for seed that is not kept, or of an order for whichever lot is used first. */
  lotId: string | null;
  /** Its share in a blend, on any scale. */
  share: number;
  /** What this kind of the crop is called, where several of one crop are blended. */
  variety?: string | undefined;
}

/** The seed that was chosen, by keys: one crop, or several. */
export interface SeedData {
  parts: readonly PartData[];
  shareOf: Exclude<ShareOf, 'area'>;
}

/** The seed of one crop, from whichever lot is used first. */
export const seedOfCrop = (cropKey: string): SeedData => ({
  parts: [{ cropKey, lotId: null, share: 1 }],
  shareOf: 'weight'
});

/**
 * What a person chose for a sowing, in ids and numbers: what a form makes of what was typed, what is sent, and what a past
 * sowing is sown by again. {@link resolve} finds what its ids stand for.
 */
export interface ChoiceData extends SeedData {
  kind: SowingKind;
  /** Of halves: the faster later, so that both are best on one day. */
  staggered: boolean;
  container: Container;
  count: number;
  medium: MediumKind;
  /** The household's own medium; null for a usual one. */
  mediumId: string | null;
  methodKey: string;
  /** The method as it is to be for this sowing, where it differs from that of the key. */
  method: Method | null;
  placeId: string;
  /** Of what sprouts in the dark, where it is carried as it comes to light; null for where it grows fastest. */
  lightPlaceId: string | null;
  density: Density | 'own';
  /** Where the density is one's own. */
  seedsPerCm2: number | null;
  /** Grams of one's own for all of it; null for what is worked out. */
  ownSeedG: number | null;
  /** Percent; null for each lot's own. */
  germinationPct: number | null;
  /** Hours, 0 for none; null for each crop's own. */
  soakH: number | null;
  /** Trays in a stack; null for as many as the seed at the bottom bears. */
  stackOf: number | null;
  /** `YYYY-MM-DD`, by which it is to be ready; null to begin on `beginOn`, or now. */
  readyBy: string | null;
  /** `YYYY-MM-DD`, on which it is begun; null for now, or as `readyBy` asks. */
  beginOn: string | null;
}

/** All that need not be chosen, as it is where nobody chose it: begun now, by the figures of crop, lot and method. */
export const AS_USUAL = {
  staggered: false,
  method: null,
  lightPlaceId: null,
  density: 'usual',
  seedsPerCm2: null,
  ownSeedG: null,
  germinationPct: null,
  soakH: null,
  stackOf: null,
  readyBy: null,
  beginOn: null
} as const satisfies Partial<ChoiceData>;

/** Over 0 and up to so many seeds to the cm2. */
export const MOST_SEEDS_PER_CM2 = 60;
/** Letters of the name of a variety. */
export const MOST_VARIETY_LETTERS = 40;
/** Over 0 and up to so many parts of a crop in a blend. */
export const MOST_SHARE = 1000;
/** Longer than this no seed lies in water and lives, h. */
export const MOST_SOAK_H = 72;
/** More seed than this is no home sowing, g. */
export const MOST_SEED_G = 5000;
