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

/**
 * Feed that a sowing's water is given in light: at half strength, or full where it stands in a reservoir.
 * @param waterMl null for what goes into a litre
 * @returns null for plain water
 */
export function feedOf({ method, setup, path }: Projected, waterMl: number | null): Feed | null {
  if (method.feed === 'none' || path.lightFrom === null) return null;
  const strength = method.feed === 'reservoir' && hasReservoir(setup) ? 1 : 0.5;
  const mLPerL = method.feedMlL === null ? null : method.feedMlL * strength;
  return { strength, mLPerL, mL: mLPerL === null || waterMl === null ? null : (waterMl / 1000) * mLPerL };
}
