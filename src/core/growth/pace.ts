import type { Gaussian } from '../stats/gaussian.ts';
import { SPREAD } from './spread.ts';

/** How a sowing's own pace lies about what its household and crop let expect: most near, now and then one far off. */
const KINDS = [
  { share: 0.9, wide: 1 },
  { share: 0.1, wide: 2.5 }
];

/** Steps of ln pace: well under the narrowest spread that is asked of it, so that sums are as good as integrals. */
const STEP = 0.05;
/** So many standard deviations to either side. */
const REACH = 4.5;

/** The paces that are reckoned with, ln against the table, and how likely each is before anything was seen. */
export interface Prior {
  paces: Float64Array;
  weights: Float64Array;
}

/**
 * Before anything was seen of a sowing.
 * @param belief of the household with its crop
 * @param cv of one sowing among others of its crop
 */
export function pacePrior({ mean, variance }: Gaussian, cv: number): Prior {
  const kinds = KINDS.map(({ share, wide }) => ({ share, sd: Math.sqrt(variance + (wide * cv) ** 2) }));
  const most = Math.ceil((REACH * Math.max(...kinds.map(({ sd }) => sd))) / STEP);
  const paces = new Float64Array(2 * most + 1);
  const weights = new Float64Array(2 * most + 1);
  for (let index = 0; index <= 2 * most; index += 1) {
    const away = (index - most) * STEP;
    paces[index] = mean + away;
    for (const { share, sd } of kinds) weights[index]! += (share / sd) * Math.exp(-0.5 * (away / sd) ** 2);
  }
  return { paces, weights: normed(weights) };
}

/** Weights that sum to 1; as they are where there are none. */
export function normed(weights: Float64Array): Float64Array {
  let all = 0;
  for (const weight of weights) all += weight;
  return all > 0 ? weights.map((weight) => weight / all) : weights;
}

/** Mean and standard deviation of ln pace. */
export function momentsOf(paces: Float64Array, weights: Float64Array): { mean: number; sd: number } {
  let [mean, square] = [0, 0];
  for (let index = 0; index < paces.length; index += 1) mean += weights[index]! * paces[index]!;
  for (let index = 0; index < paces.length; index += 1)
    square += weights[index]! * (paces[index]! - mean) ** 2;
  return { mean, sd: Math.sqrt(square) };
}

/** The spread of a stage's ln duration about its pace; what is looked at is seen a little early or late besides. */
export const STAGE_SD = SPREAD.stage;
export const LOOKED_SD = Math.hypot(SPREAD.stage, SPREAD.look);

/** Evidence that leaves so little of a belief's precision is none. */
const LEAST_SHARE = 0.02;

/**
 * What a sowing says of its household with its crop, as one observation: the belief after it, with the sowing's own part
 * taken out by integration, divided by the belief before. Null where it says next to nothing (docs/model.md, 5).
 * @param before mean and variance of H + h before it
 * @param paces the grid, with how well each pace agrees with what was seen
 */
export function messageFrom(
  before: Gaussian,
  cv: number,
  paces: Float64Array,
  agrees: Float64Array
): Gaussian | null {
  let [all, first, second] = [0, 0, 0];
  for (const { share, wide } of KINDS) {
    const own = (wide * cv) ** 2;
    const total = before.variance + own;
    const pull = before.variance / total;
    const left = (before.variance * own) / total;
    for (let index = 0; index < paces.length; index += 1) {
      const away = paces[index]! - before.mean;
      const weight = (share / Math.sqrt(total)) * Math.exp((-0.5 * away * away) / total) * agrees[index]!;
      const mean = before.mean + pull * away;
      all += weight;
      first += weight * mean;
      second += weight * (mean * mean + left);
    }
  }
  if (!(all > 0)) return null;
  const mean = first / all;
  const precision = 1 / (second / all - mean * mean) - 1 / before.variance;
  if (precision < LEAST_SHARE / before.variance) return null;
  return {
    mean: (mean * (precision + 1 / before.variance) - before.mean / before.variance) / precision,
    variance: 1 / precision
  };
}
