import { DAY, type Millis } from '../time/zone.ts';
import { later, openedByG, type Opening } from './opening.ts';

/** A week in which more opens than is eaten. */
export interface Glut {
  from: Millis;
  until: Millis;
  /** All that opens in it, and what of that is of the sowing that is being planned. */
  g: number;
  addedG: number;
  /** Days that the sowing would have to begin later for it not to be one; null where no few weeks mend it. */
  mendD: number | null;
}

const WEEK = 7 * DAY;
/** So much over a week's appetite is one: greens keep for a few days, and no window is sure (starting figure). */
const OVER = 1.3;
/** What adds less than this share of a week is not what makes it one. */
const ADDS = 0.1;
/** So far ahead it is looked, and so much later a start is offered. */
const HORIZON_D = 90;
const MOST_LATER_D = 42;

const sumG = (openings: readonly Opening[], from: Millis, until: Millis): number =>
  openings.reduce((sum, one) => sum + openedByG(one, until) - openedByG(one, from), 0);

/** A day from which a week is looked at, with what of what stands opens in it. */
interface Week {
  from: Millis;
  until: Millis;
  standingG: number;
}

const weeksOf = (standing: readonly Opening[], now: Millis): Week[] =>
  Array.from({ length: HORIZON_D }, (_, day): Week => {
    const [from, until] = [now + day * DAY, now + day * DAY + WEEK];
    return { from, until, standingG: sumG(standing, from, until) };
  });

/** The fullest week that a new sowing makes too full, by what opens in it; null where it makes none so. */
function fullest(
  added: readonly Opening[],
  weeks: readonly Week[],
  appetiteGD: number
): Omit<Glut, 'mendD'> | null {
  let found: Omit<Glut, 'mendD'> | null = null;
  for (const { from, until, standingG } of weeks) {
    const addedG = sumG(added, from, until);
    const g = addedG + standingG;
    if (g > OVER * 7 * appetiteGD && addedG > ADDS * g && (!found || g > found.g))
      found = { from, until, g, addedG };
  }
  return found;
}

/**
 * Whether more would open within a week than is eaten, with a sowing that is being planned, and by how many days later it
 * would have to begin (docs/model.md, 13).
 * @param standing what is under way or planned already
 * @param appetiteGD grams eaten a day; over 0
 */
export function glutOf(
  added: readonly Opening[],
  standing: readonly Opening[],
  appetiteGD: number,
  now: Millis
): Glut | null {
  // What stands is the same for every start that is tried.
  const weeks = weeksOf(standing, now);
  const found = fullest(added, weeks, appetiteGD);
  if (!found) return null;
  for (let days = 1; days <= MOST_LATER_D; days += 1) {
    const begun = added.map((one) => later(one, days * DAY));
    if (!fullest(begun, weeks, appetiteGD)) return { ...found, mendD: days };
  }
  return { ...found, mendD: null };
}

/** So many containers begun on one day, that many days from now. */
export interface SpreadPart {
  days: number;
  count: number;
}

/**
 * Several containers alike begun in turn, each as soon as it makes no week too full; null where that does not go within weeks.
 * @param one of them
 */
export function spreadOf(
  one: readonly Opening[],
  count: number,
  standing: readonly Opening[],
  appetiteGD: number,
  now: Millis
): SpreadPart[] | null {
  const portions: SpreadPart[] = [];
  const placed: Opening[] = [];
  let days = 0;
  for (let n = 0; n < count; n += 1) {
    const fits = (): boolean => {
      const weeks = weeksOf([...standing, ...placed], now);
      return (
        fullest(
          one.map((opening) => later(opening, days * DAY)),
          weeks,
          appetiteGD
        ) === null
      );
    };
    while (days <= MOST_LATER_D && !fits()) days += 1;
    if (days > MOST_LATER_D) return null;
    placed.push(...one.map((opening) => later(opening, days * DAY)));
    const last = portions.at(-1);
    if (last?.days === days) last.count += 1;
    else portions.push({ days, count: 1 });
  }
  return portions;
}
