import { observe, without, type Gaussian } from '../stats/gaussian.ts';
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
  /** What its sowings said of each crop, as one, and how many messages that is. */
  said: ReadonlyMap<string, { message: Gaussian; count: number }>;
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
  const said = new Map<string, { message: Gaussian; count: number }>();
  for (const { cropKey, message } of messages) {
    const before = said.get(cropKey);
    said.set(
      cropKey,
      before ? { message: observe(before.message, message), count: before.count + 1 } : { message, count: 1 }
    );
  }
  const up = [...said].map(([cropKey, { message: own }]) => ({ cropKey, own, toHousehold: widened(own) }));
  const household = up.reduce((belief, { toHousehold }) => observe(belief, toHousehold), PRIOR_HOUSEHOLD);
  const crops = new Map(
    up.map(({ cropKey, own, toHousehold }) => {
      const others = without(household, toHousehold);
      return [cropKey, observe(widened(others), own)];
    })
  );
  return { household, crops, said };
}

/** What a crop's own says of its household, or a household of its crop: one more thing lies between them. */
const widened = ({ mean, variance }: Gaussian): Gaussian => ({
  mean,
  variance: variance + SPREAD.crop ** 2
});

/** What the household believes of a crop without one message that went into that; in no time that grows with them. */
export function beliefWithout(belief: HouseholdBelief, cropKey: string, message: Gaussian): Gaussian {
  const { household, said } = belief;
  const known = said.get(cropKey)!;
  const others = said.size === 1 ? PRIOR_HOUSEHOLD : without(household, widened(known.message));
  return known.count === 1 ? widened(others) : observe(widened(others), without(known.message, message));
}
