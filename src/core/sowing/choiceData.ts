import type { ShareOf } from '../crops/shares.ts';

/** One crop of what was chosen, by its keys. */
export interface PartData {
  cropKey: string;
  /** The lot its seed comes from; null for whichever is used first. */
  lotId: string | null;
  /** Its share in a blend, on any scale. */
  share: number;
}

/** The seed that was chosen, by keys: one crop, or several that are blended. */
export interface SeedData {
  parts: readonly PartData[];
  shareOf: Exclude<ShareOf, 'area'>;
}

/** The seed of one crop, from whichever lot is used first. */
export const seedOfCrop = (cropKey: string): SeedData => ({
  parts: [{ cropKey, lotId: null, share: 1 }],
  shareOf: 'weight'
});
