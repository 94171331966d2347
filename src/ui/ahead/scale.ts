import { dayOf, type Horizon } from '$core/ahead/horizon.ts';
import { DAY, type Millis } from '$core/time/zone.ts';

/** Where moments and days lie on a drawing of the weeks ahead. */
export interface Scale {
  width: number;
  dayWidth: number;
  x(at: Millis): number;
}

/** @param width of all its days, px */
export function scaleOf({ supperAt, days }: Horizon, width: number): Scale {
  // Noon before the first supper is in the middle of the first day.
  const from = supperAt[0]! - 20.5 * (DAY / 24);
  const dayWidth = width / days;
  return { width, dayWidth, x: (at) => ((at - from) / DAY) * dayWidth };
}

/** The days on which a week begins. */
export const mondaysOf = (horizon: Horizon): number[] =>
  Array.from({ length: horizon.days }, (_, day) => day).filter((day) => dayOf(horizon, day).dayOfWeek === 1);
