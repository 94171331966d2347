import { learnsAs } from '../crops/blend.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { Z80 } from '../stats/normal.ts';
import { beliefFor, learn, type HouseholdBelief } from './learn.ts';

/** How far yields lie apart on the log scale (docs/model.md, 11): households, crops within one, and trays. */
export const YIELD_SPREAD = { household: 0.25, crop: 0.15, tray: 0.2 } as const;

/** What a household's weighed trays said of its yields, crop by crop: ln of what they gave over what was expected. */
export type YieldLearned = readonly { cropKey: string; message: Gaussian; trays: number }[];

const known = new WeakMap<YieldLearned, HouseholdBelief>();
const NOTHING: YieldLearned = [];

/** What the household believes of ln of its factor on a crop's yield. */
export function yieldBelief(learned: YieldLearned | undefined, cropKey: string): Gaussian {
  const from = learned ?? NOTHING;
  let belief = known.get(from);
  if (!belief) known.set(from, (belief = learn(from, YIELD_SPREAD)));
  return beliefFor(belief, learnsAs(cropKey), YIELD_SPREAD);
}

/** What one tray said of it: weighed to the last, it gave that against what was expected of it. */
export const yieldMessage = (gaveG: number, expectedG: number): Gaussian => ({
  mean: Math.log(gaveG / expectedG),
  variance: YIELD_SPREAD.tray ** 2
});

/** How a household's yields of a crop lie to the book's, as factors: its middle, and the range that four in five trays fall into. */
export interface YieldFactor {
  low: number;
  mid: number;
  high: number;
}

/** The factor on a crop's yield with the range of single trays. */
export function yieldFactor({ mean, variance }: Gaussian): YieldFactor {
  const sd = Math.sqrt(variance + YIELD_SPREAD.tray ** 2);
  return { low: Math.exp(mean - Z80 * sd), mid: Math.exp(mean), high: Math.exp(mean + Z80 * sd) };
}
