import { problem, type Problem } from '../problem.ts';
import type { Crop } from '../crops/crop.ts';
import type { Millis } from '../time/zone.ts';
import { densityOf } from '../supplies/seed/amount.ts';
import type { Gaussian } from '../stats/gaussian.ts';
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

/** How soon plants crowd each other (starting figure). */
const CROWDING = 2;

/**
 * What a stand gives against one of usual density, by the reciprocal yield-density law (Shinozaki & Kira 1956, as
 * docs/model.md, 11, has it).
 * @param crowd plants to an area against the usual; 0 gives nothing
 */
export const densityFactor = (crowd: number): number => (crowd * (1 + CROWDING)) / (1 + CROWDING * crowd);

/** Plants to an area against the usual, of so much seed of a lot. */
export const crowdOf = (
  crop: Crop,
  areaCm2: number,
  { seedG, germinationPct }: { seedG: number; germinationPct: number | null }
): number => densityOf(crop, areaCm2, seedG, germinationPct ?? undefined) / crop.seedsPerCm2.usual;

/** Past where a crop begins to suffer its yield falls to this, and no further (starting figure). */
const HOTTEST_FACTOR = 0.3;

/** What a day of that mean warmth leaves of a crop's yield (docs/model.md, 3): 1 while it does not suffer. */
export function heatFactor({ keepBelowC, maximumC }: Crop, meanC: number): number {
  const worst = (maximumC - keepBelowC) / 2;
  return 1 - (1 - HOTTEST_FACTOR) * Math.min(1, Math.max(0, (meanC - keepBelowC) / worst));
}

/**
 * What a stand is expected to give, cut in its window: by its density, by the heat it stood, and by what the household
 * usually gets of it.
 * @param by `crowd` plants to an area against the usual; `heat` what heat leaves of it; `factor` ln of the household's own
 */
export function standYieldG(
  crop: Crop,
  areaCm2: number,
  { crowd, heat, factor }: { crowd: number; heat: number; factor: Gaussian }
): UsualYield {
  const { low, usual, high } = usualYieldG(crop, areaCm2);
  const times = densityFactor(crowd) * heat * Math.exp(factor.mean);
  return { low: low * times, usual: usual * times, high: high * times };
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
