import type { Crop } from './crop.ts';

/** Windows must meet for this long, and heights be no further apart, for a mix to be cut as one. */
export const FITS = { overlapD: 2, heightCm: 3 } as const;

/** Whether crops suit one tray, by their figures at a steady 21 degC in good light. */
export interface MixFit {
  /** Days in which all windows are open at once; negative for the days between them. */
  overlapD: number;
  /** From the shortest to the tallest, at the middle of their ranges. */
  heightGapCm: number;
  windowsFit: boolean;
  heightsFit: boolean;
  /** Days by which to sow each later than the slowest, so that all are best on one day. */
  delaysD: number[];
  /** What the overlap is once they are sown that way. */
  staggeredOverlapD: number;
}

/** @param crops at least two */
export function mixFit(crops: readonly Crop[]): MixFit {
  const overlap = (delays: readonly number[]): number =>
    Math.min(...crops.map((crop, index) => crop.windowCloseD21 + delays[index]!)) -
    Math.max(...crops.map((crop, index) => crop.windowOpenD21 + delays[index]!));
  const middles = crops.map(({ heightMinCm, heightMaxCm }) => (heightMinCm + heightMaxCm) / 2);
  const heightGapCm = Math.max(...middles) - Math.min(...middles);
  const slowest = Math.max(...crops.map(({ windowBestD21 }) => windowBestD21));
  const delaysD = crops.map(({ windowBestD21 }) => slowest - windowBestD21);
  const overlapD = overlap(crops.map(() => 0));
  return {
    overlapD,
    heightGapCm,
    windowsFit: overlapD >= FITS.overlapD,
    heightsFit: heightGapCm <= FITS.heightCm,
    delaysD,
    staggeredOverlapD: overlap(delaysD)
  };
}
