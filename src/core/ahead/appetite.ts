import type { Period } from '../away/period.ts';
import { cropKeysOf } from '../crops/blend.ts';
import { DAY, type Millis, type Zone } from '../time/zone.ts';
import { dayOf, isAwayOn, type Horizon } from './horizon.ts';

/** Somebody who eats greens, or all of a household together. */
export interface Eater {
  id: string;
  name: string;
  /** Grams a day, Monday to Sunday. */
  gByWeekday: readonly number[];
  /** Keys of crops that they like best, and of those that they do not eat; absent for none. */
  liked?: readonly string[];
  disliked?: readonly string[];
}

/** What is thought of a crop, and which share of a week's greens it is to be. */
export interface Taste {
  cropKey: string;
  taste: 'liked' | 'usual' | 'disliked';
  /** Shares of a week, 0 to 1; null for no wish. */
  leastShare: number | null;
  mostShare: number | null;
}

/** Amounts for one touch, g: a household of one says what they eat without a scale (starting figures). */
export const PORTIONS = { pinch: 5, handful: 20, salad: 60 } as const;
export type PortionSize = keyof typeof PORTIONS;

/** What a household eats on a usual day, g. */
export interface Appetite {
  gD: number;
  /** People in it, and whether somebody said what they eat, or a handful each is taken for it. */
  people: number;
  assumed: boolean;
}

/**
 * What a household eats on a usual day. Where nobody has said it, a handful each; null where it was said that nothing is eaten.
 * @param people at least one
 */
export function appetiteOf(eaters: readonly Eater[], people: number): Appetite | null {
  if (eaters.length === 0) return { gD: people * PORTIONS.handful, people, assumed: true };
  const gD = usualAppetiteG(eaters);
  return gD > 0 ? { gD, people, assumed: false } : null;
}

/** Over this a person and day it is asked back whether that is meant, g (starting figure). */
const MUCH_EATEN_G = 500;

/** What each of a household would eat a day, where that is so much that it is asked back, g; null where it is not. */
export function muchEatenG(eaters: readonly Eater[], people: number): number | null {
  const each = usualAppetiteG(eaters) / Math.max(1, people, eaters.length);
  return each > MUCH_EATEN_G ? each : null;
}

/** Grams that are eaten on each day: by weekday and person, nothing while nobody is at home. */
export function appetiteOn(eaters: readonly Eater[], horizon: Horizon, away: readonly Period[]): number[] {
  return Array.from({ length: horizon.days }, (_, index) => {
    const date = dayOf(horizon, index);
    if (isAwayOn(horizon, index, away)) return 0;
    return eaters.reduce((sum, { gByWeekday }) => sum + (gByWeekday[date.dayOfWeek - 1] ?? 0), 0);
  });
}

/** The mean of a week, g a day. */
export const usualAppetiteG = (eaters: readonly Eater[]): number =>
  eaters.reduce((sum, { gByWeekday }) => sum + gByWeekday.reduce((all, g) => all + g, 0), 0) / 7;

/** So long a stretch, with so many takings in it, tells what is eaten (starting figures). */
const TELLS_D = 28;
const LEAST_TAKINGS = 6;
/** A weekday is its own by what was eaten on it, held against the mean as though that had been seen so many times. */
const MEAN_COUNTS = 2;
const DAYS_OF_WEEK = 7;

/**
 * What was eaten out of pantry and trays, g on each weekday, Monday to Sunday; null while too little was recorded to tell. A
 * weekday of which little is known is near the mean of all.
 */
export function eatenByWeekday(
  takings: readonly { at: Millis; g: number }[],
  zone: Zone,
  now: Millis
): number[] | null {
  const lately = takings.filter(({ at }) => at > now - TELLS_D * DAY && at <= now);
  if (lately.length < LEAST_TAKINGS) return null;
  const since = Math.min(...lately.map(({ at }) => at));
  const days = Math.max(DAYS_OF_WEEK, (now - since) / DAY);
  const meanG = lately.reduce((sum, { g }) => sum + g, 0) / days;
  const weeks = days / DAYS_OF_WEEK;
  const eaten = new Float64Array(DAYS_OF_WEEK);
  for (const { at, g } of lately) eaten[zone.date(at).dayOfWeek - 1]! += g;
  return Array.from(eaten, (g) => (g + MEAN_COUNTS * meanG) / (weeks + MEAN_COUNTS));
}

/** What is eaten in all, shared among eaters as they said it themselves: evenly on a weekday of which nobody said anything. */
export function sharedOut(eaters: readonly Eater[], byWeekday: readonly number[]): Eater[] {
  return eaters.map((eater) => ({
    ...eater,
    gByWeekday: byWeekday.map((g, day) => {
      const said = eaters.reduce((sum, { gByWeekday }) => sum + (gByWeekday[day] ?? 0), 0);
      return said > 0 ? (g * (eater.gByWeekday[day] ?? 0)) / said : g / eaters.length;
    })
  }));
}

/**
 * The shares of what is eaten that those eat who like a crop, and those who do not eat it, 0 to 1 each. A blend is liked by
 * who likes every crop of it, and not eaten by who leaves one of them.
 */
export function fondness(
  cropKey: string,
  eaters: readonly Eater[],
  tastes: readonly Taste[]
): { liked: number; disliked: number } {
  const keys = cropKeysOf(cropKey);
  const tasteOf = (key: string) => tastes.find((taste) => taste.cropKey === key)?.taste;
  if (keys.some((key) => tasteOf(key) === 'disliked')) return { liked: 0, disliked: 1 };
  const allG = usualAppetiteG(eaters);
  const allLike = keys.every((key) => tasteOf(key) === 'liked');
  const shareOf = (is: (eater: Eater) => boolean): number =>
    allG > 0 ? usualAppetiteG(eaters.filter(is)) / allG : 0;
  return {
    liked: allLike
      ? 1
      : shareOf(({ liked = [] }) => keys.every((key) => liked.includes(key) || tasteOf(key) === 'liked')),
    disliked: shareOf(({ disliked = [] }) => keys.some((key) => disliked.includes(key)))
  };
}

/** Nobody is left who eats a crop (sums of shares are not exact). */
export const nobodyEats = ({ disliked }: { disliked: number }): boolean => disliked > 1 - 1e-9;
