import { Temporal } from 'temporal-polyfill';
import type { Rhythm } from '../time/rhythm.ts';
import { MINUTE, type Millis } from '../time/zone.ts';

/** Days on which nobody is at home for any round, first and last included, as `YYYY-MM-DD`. */
export interface Period {
  fromDay: string;
  untilDay: string;
}

/** When whoever leaves has walked their last round, and when the first one back is. */
export interface Absence {
  leavesAt: Millis;
  backAt: Millis;
}

/** A period as moments of the household. */
export function absenceOf({ fromDay, untilDay }: Period, { zone, roundsMin }: Rhythm): Absence {
  const before = Temporal.PlainDate.from(fromDay).subtract({ days: 1 });
  const after = Temporal.PlainDate.from(untilDay).add({ days: 1 });
  return {
    leavesAt: zone.at(before, roundsMin.at(-1)!) + MINUTE,
    backAt: zone.at(after, roundsMin[0]!)
  };
}

/** The absence that a moment falls into; null for none. */
export const absenceAt = (periods: readonly Period[], rhythm: Rhythm, at: Millis): Absence | null =>
  periods
    .map((period) => absenceOf(period, rhythm))
    .find(({ leavesAt, backAt }) => at >= leavesAt && at < backAt) ?? null;

/** Periods with another among them: those that meet or overlap are one. */
export function joined(periods: readonly Period[]): Period[] {
  const sorted = [...periods].sort((a, b) => (a.fromDay < b.fromDay ? -1 : 1));
  const out: Period[] = [];
  for (const one of sorted) {
    const last = out.at(-1);
    const meets = last && dayAfter(last.untilDay) >= one.fromDay;
    if (meets) last.untilDay = last.untilDay > one.untilDay ? last.untilDay : one.untilDay;
    else out.push({ fromDay: one.fromDay, untilDay: one.untilDay });
  }
  return out;
}

const dayAfter = (day: string): string => Temporal.PlainDate.from(day).add({ days: 1 }).toString();
