import { Temporal } from 'temporal-polyfill';
import type { Period } from '../away/period.ts';
import { ofWakingDay, type Rhythm } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';

/** Days to come, today first. */
export interface Horizon {
  first: Temporal.PlainDate;
  days: number;
  /** When the greens of each day are eaten: at its last round. */
  supperAt: readonly Millis[];
  /** When a day's work may begin: its first round, today what is left of it. */
  workFrom: readonly Millis[];
}

/** Days of a week of a horizon, which begins with its first day. */
export const WEEK = 7;

/** So many days are planned. */
export const HORIZON_D = 56;

export function horizonFrom(rhythm: Rhythm, now: Millis, days = HORIZON_D): Horizon {
  const { zone, roundsMin } = rhythm;
  const first = zone.date(now);
  const at = (day: number, minutes: number) => zone.at(first.add({ days: day }), minutes);
  const all = Array.from({ length: days }, (_, day) => day);
  // A last round past midnight is still of the evening before.
  const supper = Math.max(...roundsMin.map((minutes) => ofWakingDay(minutes, rhythm.wakeMin)));
  return {
    first,
    days,
    supperAt: all.map((day) => at(day, supper)),
    workFrom: all.map((day) => Math.max(now, at(day, roundsMin[0]!)))
  };
}

/** Which of its days a moment falls on; negative for before, its length or more for after. */
export const dayIndex = ({ first }: Pick<Horizon, 'first'>, rhythm: Rhythm, at: Millis): number =>
  rhythm.zone.date(at).since(first, { largestUnit: 'days' }).days;

export const dayOf = ({ first }: Pick<Horizon, 'first'>, day: number): Temporal.PlainDate =>
  first.add({ days: day });

/** Whether nobody is at home on one of its days. */
export function isAwayOn(horizon: Horizon, day: number, away: readonly Period[]): boolean {
  const date = dayOf(horizon, day).toString();
  return away.some(({ fromDay, untilDay }) => date >= fromDay && date <= untilDay);
}
