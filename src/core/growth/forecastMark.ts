import type { Millis } from '../time/zone.ts';
import { phiInverse } from '../stats/normal.ts';

/** When a mark is reached: 10 %, 50 % and 90 % times. */
export interface MarkForecast {
  readonly p10: Millis;
  readonly p50: Millis;
  readonly p90: Millis;
  /** Somebody saw it, and that is believed. */
  readonly seen: boolean;
}

/** Near enough, in the units of a standard normal: a minute or so. */
const NEAR = 3e-4;
const MOST_STEPS = 40;

/**
 * The moment by which something has happened with a chance: found where the chance, as a standard normal, is nearly a line
 * over ln of the clock. Infinity where it never comes to that.
 * @param reached never falling over time, with mean and spread of x for the first guess
 * @param at the moment at which the clock of a middling pace shows e^x optimum days
 */
export function quantile(
  share: number,
  { by: chance, mean, sd }: { by: (at: Millis) => number; mean: number; sd: number },
  at: (x: number) => Millis
): Millis {
  const aim = phiInverse(share);
  let [low, high] = [-Infinity, Infinity];
  let x = mean + aim * sd;
  let moment = at(x);
  let last: { x: number; over: number } | null = null;
  let slope = 1 / sd;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const over = (Number.isFinite(moment) ? phiInverse(chance(moment)) : Infinity) - aim;
    if (Math.abs(over) < NEAR) return moment;
    if (over > 0) high = x;
    else low = x;
    if (high - low < 1e-6) break;
    // The line through the last two, as far as it can be believed.
    const steepness: number =
      last && Number.isFinite(over) && Number.isFinite(last.over) ? (over - last.over) / (x - last.x) : slope;
    if (steepness > 0.2 / sd && steepness < 20 / sd) slope = steepness;
    last = { x, over };
    const next = x - Math.max(-3 * sd, Math.min(3 * sd, over / slope));
    const isBetween = next > low && next < high && step < 10;
    x = isBetween
      ? next
      : Number.isFinite(low) && Number.isFinite(high)
        ? (low + high) / 2
        : x - 3 * sd * Math.sign(over);
    moment = at(x);
  }
  // Where the clock stands still, nothing on this side of the jump comes to the share.
  return Number.isFinite(high) ? at(high) : moment;
}
