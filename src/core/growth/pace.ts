import type { Gaussian } from '../stats/gaussian.ts';
import type { Germination } from './germination.ts';
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

/** A grid of paces and germinations with the prior probability of each pair. */
export interface Prior {
  /** ln against the table. */
  paces: Float64Array;
  germination: Germination;
  /** Of each pace with each germination, pace by pace. */
  weights: Float64Array;
}

/** Priors centred on 0, cached: a page has few of them and many sowings of each. */
const known = new Map<string, Omit<Prior, 'germination'>>();
const MOST_KNOWN = 200;

/**
 * Before anything was seen of a sowing.
 * @param belief of the household with its crop
 * @param cv of one sowing among others of its crop
 */
export function pacePrior({ mean, variance }: Gaussian, cv: number, germination: Germination): Prior {
  const key = `${variance} ${cv} ${germination.late.length}`;
  let about = known.get(key);
  if (!about) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, (about = priorAbout(variance, cv, germination)));
  }
  return { paces: about.paces.map((pace) => mean + pace), germination, weights: about.weights };
}

function priorAbout(variance: number, cv: number, germination: Germination): Omit<Prior, 'germination'> {
  const kinds = KINDS.map(({ share, wide }) => ({ share, sd: Math.sqrt(variance + (wide * cv) ** 2) }));
  const most = Math.ceil((REACH * Math.max(...kinds.map(({ sd }) => sd))) / STEP);
  const nodes = germination.weights.length;
  const paces = new Float64Array(2 * most + 1);
  const weights = new Float64Array(paces.length * nodes);
  for (let index = 0; index < paces.length; index += 1) {
    const away = (index - most) * STEP;
    paces[index] = away;
    let weight = 0;
    for (const { share, sd } of kinds) weight += (share / sd) * Math.exp(-0.5 * (away / sd) ** 2);
    for (let node = 0; node < nodes; node += 1)
      weights[index * nodes + node] = weight * germination.weights[node]!;
  }
  return { paces, weights: normed(weights) };
}

/** The likelihood of each pace, integrated over germination. @param agrees of each pace with each germination */
export function overGermination({ paces, germination }: Prior, agrees: Float64Array): Float64Array {
  const nodes = germination.weights.length;
  return Float64Array.from(paces, (_, index) => {
    let sum = 0;
    for (let node = 0; node < nodes; node += 1)
      sum += germination.weights[node]! * agrees[index * nodes + node]!;
    return sum;
  });
}

/** Weights that sum to 1; as they are where there are none. */
export function normed(weights: Float64Array): Float64Array {
  let all = 0;
  for (let cell = 0; cell < weights.length; cell += 1) all += weights[cell]!;
  if (!(all > 0)) return weights;
  const shares = new Float64Array(weights.length);
  for (let cell = 0; cell < weights.length; cell += 1) shares[cell] = weights[cell]! / all;
  return shares;
}

/** Mean and standard deviation of ln pace, and the mean share that germination adds to the time to `rooted`. */
export function momentsOf(
  { paces, germination: { late } }: Prior,
  weights: Float64Array
): { mean: number; sd: number; late: number } {
  let [mean, square, added, cell] = [0, 0, 0, 0];
  for (let index = 0; index < paces.length; index += 1) {
    const pace = paces[index]!;
    let weight = 0;
    for (let node = 0; node < late.length; node += 1, cell += 1) {
      weight += weights[cell]!;
      added += weights[cell]! * late[node]!;
    }
    mean += weight * pace;
    square += weight * pace * pace;
  }
  return { mean, sd: Math.sqrt(Math.max(0, square - mean * mean)), late: added };
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
