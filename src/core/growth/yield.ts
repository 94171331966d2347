import { problem, type Problem } from '../problem.ts';
import type { Crop } from '../crops/crop.ts';
import type { Millis } from '../time/zone.ts';
import type { Forecast } from './forecast.ts';

/** What a sowing gave. */
export interface Yield {
  netG: number;
  gPerGSeed: number;
  gPerM2: number;
}

/** What an area of a crop is known to give, in g. */
export interface UsualYield {
  low: number;
  usual: number;
  high: number;
}

/** What an area of a crop is known to give by the crop's figures. */
export function usualYieldG({ yieldLowGM2, yieldMidGM2, yieldHighGM2 }: Crop, areaCm2: number): UsualYield {
  const [low, usual, high] = [yieldLowGM2, yieldMidGM2, yieldHighGM2].map((gM2) => (gM2 * areaCm2) / 10_000);
  return { low: low!, usual: usual!, high: high! };
}

/** From its opening to its best day a crop gains this share (docs/model.md, 11). */
const BEST_GAIN = 0.1;

/**
 * What a sowing gives if it is cut at a moment, as a share of its usual yield: the square of how far its clock is towards its
 * median opening (starting figure), nothing before its stems are even, a tenth more from its best day on, and nothing promised
 * past its close.
 */
export function cutAtShare({ marks, clock }: Pick<Forecast, 'marks' | 'clock'>, at: Millis): number {
  const { lightReady, windowOpen: open, windowBest: best, windowClose: close } = marks;
  if (!Number.isFinite(open.p50) || at < lightReady.p50 || at > close.p50) return 0;
  if (at < open.p50) return (Math.max(0, clock.tau(at)) / clock.tau(open.p50)) ** 2;
  const towardsBest = best.p50 > open.p50 ? (at - open.p50) / (best.p50 - open.p50) : 1;
  return 1 + BEST_GAIN * Math.min(1, towardsBest);
}

/** What was cut, set against the seed and the area it came from. */
export function yieldOf(netG: number, seedG: number, areaCm2: number): Yield {
  return { netG, gPerGSeed: netG / seedG, gPerM2: (netG / areaCm2) * 10_000 };
}

/** How far over the best known yield a weight is asked about, as a factor. */
const IMPLAUSIBLE_FACTOR = 1.5;

/** A weigh-in as typed, in g. */
export interface WeighIn {
  grossG: number;
  tareG: number;
  /** Share of the area that was cut, over 0 to 1. */
  share: number;
}

export type WeighInCheck =
  | { kind: 'fine'; netG: number }
  | { kind: 'wrong'; problem: Problem }
  /** It may be right: asked about once, then taken. `times` the most such an area is known to give. */
  | { kind: 'implausible'; netG: number; mostG: number; times: number };

/** Whether a weigh-in can be, for a crop on an area in cm2. */
export function checkWeighIn(crop: Crop, areaCm2: number, { grossG, tareG, share }: WeighIn): WeighInCheck {
  const wrong = (found: Problem): WeighInCheck => ({ kind: 'wrong', problem: found });
  if (!(grossG > 0)) return wrong(problem('bowl-not-weighed'));
  if (!(tareG >= 0)) return wrong(problem('tare-under-nothing'));
  if (!(share > 0 && share <= 1)) return wrong(problem('share-not-chosen'));
  const netG = grossG - tareG;
  if (netG <= 0) return wrong(problem('bowl-too-light'));
  const mostG = usualYieldG(crop, areaCm2).high * share;
  return netG > mostG * IMPLAUSIBLE_FACTOR
    ? { kind: 'implausible', netG, mostG, times: netG / mostG }
    : { kind: 'fine', netG };
}
