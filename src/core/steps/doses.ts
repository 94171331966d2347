import type { Projected } from '../sowing/project.ts';
import type { Method } from '../supplies/methods/method.ts';
import { weakPeroxideMl } from '../supplies/seed/disinfect.ts';
import { hasReservoir } from '../water/bucket.ts';
import type { Feed } from './step.ts';

/** 3 % peroxide that a method wants in its first water, mL: whether in that alone or in all of it. */
export const peroxideAtSowing = ({ peroxide }: Pick<Method, 'peroxide'>, waterMl: number): number =>
  peroxide === 'none' ? 0 : weakPeroxideMl(waterMl);

/** 3 % peroxide that a method wants in its other water, mL: in all of it, mist and soak included, or in none. */
export const peroxideIn = ({ peroxide }: Pick<Method, 'peroxide'>, waterMl: number): number =>
  peroxide === 'weak' ? weakPeroxideMl(waterMl) : 0;

/** Strength of the feed in a reservoir, of full. */
const IN_RESERVOIR: Partial<Record<Method['feed'], number>> = { reservoir: 1, 'reservoir-half': 0.5 };

/**
 * Feed that a sowing's water is given: at half strength in light, or as the method has it where it stands in a reservoir.
 * @param waterMl null for what goes into a litre
 * @returns null for plain water
 */
export function feedOf({ method, setup, path }: Projected, waterMl: number | null): Feed | null {
  if (method.feed === 'none' || path.lightFrom === null) return null;
  const strength = (hasReservoir(setup) ? IN_RESERVOIR[method.feed] : undefined) ?? 0.5;
  const mLPerL = method.feedMlL === null ? null : method.feedMlL * strength;
  return { strength, mLPerL, mL: mLPerL === null || waterMl === null ? null : (waterMl / 1000) * mLPerL };
}

/** Feed in the first fill of a reservoir, where the method feeds there; null for plain water. */
export const firstFeed = (sowing: Projected, waterMl: number): Feed | null =>
  hasReservoir(sowing.setup) && IN_RESERVOIR[sowing.method.feed] !== undefined
    ? feedOf(sowing, waterMl)
    : null;
