import { observe, type Gaussian } from '../stats/gaussian.ts';
import { SPREAD } from './spread.ts';

/** What the marks of one sowing said, each on ln(duration / table). */
export interface SowingEvidence {
  cropKey: string;
  durationCv: number;
  marks: readonly Gaussian[];
}

/** What a household knows: of itself, and of each crop it has grown, as beliefs on H and on H + h. */
export interface HouseholdBelief {
  household: Gaussian;
  crops: ReadonlyMap<string, Gaussian>;
}

const PRIOR_HOUSEHOLD: Gaussian = { mean: 0, variance: SPREAD.household ** 2 };

/** What a household that has seen nothing yet believes of H + h for any crop. */
export const NEW_HOUSEHOLD: Gaussian = { mean: 0, variance: SPREAD.household ** 2 + SPREAD.crop ** 2 };

/** What this household believes of H + h for a crop, grown before or not. */
export function beliefFor(belief: HouseholdBelief, cropKey: string): Gaussian {
  const { household } = belief;
  return (
    belief.crops.get(cropKey) ?? { mean: household.mean, variance: household.variance + SPREAD.crop ** 2 }
  );
}

/** The marks of one sowing as one observation of H + h: their product, widened by what that sowing adds. */
export function sowingMessage({ durationCv, marks }: SowingEvidence): Gaussian | null {
  const [first, ...rest] = marks;
  if (!first) return null;
  const own = rest.reduce(observe, first);
  return { mean: own.mean, variance: own.variance + durationCv ** 2 };
}

/**
 * The exact posterior over the tree household > crop > sowing > stage, by passing normal messages up to
 * the household and back down: one pass, so linear in what was seen.
 * @param messages what one sowing, or several of one crop together, say of H + h
 */
export function learn(messages: readonly { cropKey: string; message: Gaussian }[]): HouseholdBelief {
  const byCrop = new Map<string, Gaussian>();
  for (const { cropKey, message } of messages) {
    const before = byCrop.get(cropKey);
    byCrop.set(cropKey, before ? observe(before, message) : message);
  }
  const up = [...byCrop].map(([cropKey, own]) => ({
    cropKey,
    own,
    toHousehold: { mean: own.mean, variance: own.variance + SPREAD.crop ** 2 }
  }));
  const household = up.reduce((belief, { toHousehold }) => observe(belief, toHousehold), PRIOR_HOUSEHOLD);
  const crops = new Map(
    up.map(({ cropKey, own, toHousehold }) => {
      const others = without(household, toHousehold);
      return [cropKey, observe({ mean: others.mean, variance: others.variance + SPREAD.crop ** 2 }, own)];
    })
  );
  return { household, crops };
}

/** A belief with one message that went into it taken out again. */
function without(belief: Gaussian, message: Gaussian): Gaussian {
  const precision = 1 / belief.variance - 1 / message.variance;
  return {
    mean: (belief.mean / belief.variance - message.mean / message.variance) / precision,
    variance: 1 / precision
  };
}
