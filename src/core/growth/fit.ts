import type { Crop } from '../crops/crop.ts';
import type { Method } from '../supplies/methods/method.ts';

/** Windows must meet for this long, and heights be no further apart, for a mix to be cut as one. */
export const FITS = { overlapD: 2, heightCm: 3 } as const;

/** A crop's window where it is to stand, in days from sowing. */
export interface FitWindow {
  openD: number;
  bestD: number;
  closeD: number;
}

/** Whether crops suit one container, at the warmth of their place, for the way they are eaten. */
export interface MixFit {
  windows: FitWindow[];
  /** Days in which all windows are open at once; negative for the days between them. */
  overlapD: number;
  /** How high each stands at its cut, the middle of its range, cm. */
  heightsCm: number[];
  /** From the shortest to the tallest. */
  heightGapCm: number;
  /** Taken over days, each is cut when it is ready: then windows need not meet. */
  windowsFit: boolean;
  heightsFit: boolean;
  /** Days by which to sow each later than the slowest, so that all are best on one day. */
  delaysD: number[];
  /** What the overlap is once they are sown that way. */
  staggeredOverlapD: number;
}

/** What decides whether a crop suits another in one container. */
export interface FitPart {
  crop: Pick<Crop, 'heightMinCm' | 'heightMaxCm'>;
  window: FitWindow;
}

/**
 * @param parts at least two, each with its window where it is to stand
 * @param taking whether they are cut together or over days
 */
export function mixFit(parts: readonly FitPart[], taking: Method['taking']): MixFit {
  const windows = parts.map(({ window }) => window);
  const overlap = (delays: readonly number[]): number =>
    Math.min(...windows.map(({ closeD }, index) => closeD + delays[index]!)) -
    Math.max(...windows.map(({ openD }, index) => openD + delays[index]!));
  const middles = parts.map(({ crop: { heightMinCm, heightMaxCm } }) => (heightMinCm + heightMaxCm) / 2);
  const heightGapCm = Math.max(...middles) - Math.min(...middles);
  const slowest = Math.max(...windows.map(({ bestD }) => bestD));
  const delaysD = windows.map(({ bestD }) => slowest - bestD);
  const overlapD = overlap(windows.map(() => 0));
  return {
    windows,
    overlapD,
    heightsCm: middles,
    heightGapCm,
    windowsFit: taking === 'strip' || overlapD >= FITS.overlapD,
    heightsFit: heightGapCm <= FITS.heightCm,
    delaysD,
    staggeredOverlapD: overlap(delaysD)
  };
}
