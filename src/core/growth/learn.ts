import { observe, without, type Gaussian } from '../stats/gaussian.ts';
import { SPREAD } from './spread.ts';

/** What a household knows: of itself, and of each crop it has grown, as beliefs on H and on H + h. */
export interface HouseholdBelief {
  household: Gaussian;
  crops: ReadonlyMap<string, Gaussian>;
  /** What its sowings said of each crop, as one, and how many messages that is. */
  said: ReadonlyMap<string, { message: Gaussian; count: number }>;
}

/** How far households, and crops within one, lie apart on the log scale. */
export interface Levels {
  household: number;
  crop: number;
}

const priorOf = ({ household }: Levels): Gaussian => ({ mean: 0, variance: household ** 2 });

/** What a household that has seen nothing yet believes of H + h for any crop. */
export const NEW_HOUSEHOLD: Gaussian = { mean: 0, variance: SPREAD.household ** 2 + SPREAD.crop ** 2 };

/** What this household believes of H + h for a crop, grown before or not. */
export const beliefFor = (
  { household, crops }: HouseholdBelief,
  cropKey: string,
  levels: Levels = SPREAD
): Gaussian => crops.get(cropKey) ?? widened(household, levels);

/**
 * The exact posterior over the tree household > crop > sowing > stage, by passing normal messages up to
 * the household and back down: one pass, so linear in what was seen.
 * @param messages what one sowing, or several of one crop together, say of H + h
 */
export function learn(
  messages: readonly { cropKey: string; message: Gaussian }[],
  levels: Levels = SPREAD
): HouseholdBelief {
  const said = new Map<string, { message: Gaussian; count: number }>();
  for (const { cropKey, message } of messages) {
    const before = said.get(cropKey);
    said.set(
      cropKey,
      before ? { message: observe(before.message, message), count: before.count + 1 } : { message, count: 1 }
    );
  }
  const up = [...said].map(([cropKey, { message: own }]) => ({
    cropKey,
    own,
    toHousehold: widened(own, levels)
  }));
  const household = up.reduce((belief, { toHousehold }) => observe(belief, toHousehold), priorOf(levels));
  const crops = new Map(
    up.map(({ cropKey, own, toHousehold }) => {
      const others = without(household, toHousehold);
      return [cropKey, observe(widened(others, levels), own)];
    })
  );
  return { household, crops, said };
}

/** What a crop's own says of its household, or a household of its crop: one more thing lies between them. */
const widened = ({ mean, variance }: Gaussian, { crop }: Levels): Gaussian => ({
  mean,
  variance: variance + crop ** 2
});

/** What the household believes of a crop without one message that went into that; in no time that grows with them. */
export function beliefWithout(
  { household, said }: HouseholdBelief,
  cropKey: string,
  message: Gaussian,
  levels: Levels = SPREAD
): Gaussian {
  const known = said.get(cropKey)!;
  const others = said.size === 1 ? priorOf(levels) : without(household, widened(known.message, levels));
  const prior = widened(others, levels);
  return known.count === 1 ? prior : observe(prior, without(known.message, message));
}
