import { SPREAD } from './spread.ts';

/** How much longer or shorter germination may take than the sowing's pace alone implies, with the probability of each. */
export interface Germination {
  /** What each adds to every mark, as a share of the time to `rooted`: e^g - 1. */
  late: Float64Array;
  /** They sum to 1. */
  weights: Float64Array;
}

/** Nodes on either side of the middle, and the distance between two of them in standard deviations. */
const NODES = 3;
const PER_SD = 0.8;

/** Germination of seed: g ~ N(0, 0.20^2) on seven nodes (docs/model.md, 5). */
export const OF_SEED: Germination = germinationOf(NODES);
/** Regrowth from stubs has already germinated. */
export const OF_STUBS: Germination = germinationOf(0);

function germinationOf(nodes: number): Germination {
  const away = Float64Array.from({ length: 2 * nodes + 1 }, (_, index) => (index - nodes) * PER_SD);
  const density = away.map((z) => Math.exp(-0.5 * z * z));
  const all = density.reduce((sum, one) => sum + one, 0);
  return {
    late: away.map((z) => Math.expm1(SPREAD.germination * z)),
    weights: density.map((one) => one / all)
  };
}

/**
 * The mean of what germination adds for one pace; null where all weights are 0.
 * @param weights of the nodes, pace by pace; they need not sum to 1
 * @param pace its index in the grid
 */
export function meanLate({ late }: Germination, weights: Float64Array, pace: number): number | null {
  const first = pace * late.length;
  let [sum, all] = [0, 0];
  for (let node = 0; node < late.length; node += 1) {
    const weight = weights[first + node]!;
    sum += weight * late[node]!;
    all += weight;
  }
  return all > 0 ? sum / all : null;
}
