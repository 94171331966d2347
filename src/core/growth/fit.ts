import type { Crop } from '../crops/crop.ts';
import { temperatureResponse } from '../crops/temperature.ts';
import { usualWarmthRate } from '../places/air/rates.ts';
import type { Place } from '../places/place.ts';
import type { Method } from '../supplies/methods/method.ts';
import { TABLE_TEMP_C } from './marks.ts';

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
  /** From the shortest to the tallest, at the middle of their ranges. */
  heightGapCm: number;
  /** Taken over days, each is cut when it is ready: then windows need not meet. */
  windowsFit: boolean;
  heightsFit: boolean;
  /** Days by which to sow each later than the slowest, so that all are best on one day. */
  delaysD: number[];
  /** What the overlap is once they are sown that way. */
  staggeredOverlapD: number;
}

/**
 * @param crops at least two
 * @param at where they are to stand, and whether they are cut together or over days
 */
export function mixFit(
  crops: readonly Crop[],
  { place, taking }: { place: Place | null; taking: Method['taking'] }
): MixFit {
  const windows = crops.map((crop): FitWindow => {
    const rate = place ? usualWarmthRate(crop, place) : temperatureResponse(crop, TABLE_TEMP_C);
    const slower = temperatureResponse(crop, TABLE_TEMP_C) / rate;
    return {
      openD: crop.windowOpenD21 * slower,
      bestD: crop.windowBestD21 * slower,
      closeD: crop.windowCloseD21 * slower
    };
  });
  const overlap = (delays: readonly number[]): number =>
    Math.min(...windows.map(({ closeD }, index) => closeD + delays[index]!)) -
    Math.max(...windows.map(({ openD }, index) => openD + delays[index]!));
  const middles = crops.map(({ heightMinCm, heightMaxCm }) => (heightMinCm + heightMaxCm) / 2);
  const heightGapCm = Math.max(...middles) - Math.min(...middles);
  const slowest = Math.max(...windows.map(({ bestD }) => bestD));
  const delaysD = windows.map(({ bestD }) => slowest - bestD);
  const overlapD = overlap(crops.map(() => 0));
  return {
    windows,
    overlapD,
    heightGapCm,
    windowsFit: taking === 'strip' || overlapD >= FITS.overlapD,
    heightsFit: heightGapCm <= FITS.heightCm,
    delaysD,
    staggeredOverlapD: overlap(delaysD)
  };
}
