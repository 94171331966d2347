import { Temporal } from 'temporal-polyfill';
import type { Rhythm } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';
import type { Aim } from './plan.ts';

/**
 * The aim of a sowing that is to be ready by a day: that day's last round, so that it can be cut for supper.
 * @param day `YYYY-MM-DD`, or null to start now
 * @returns null for a day that does not exist, such as 29 February of most years
 */
export function aimOf(day: string | null, rhythm: Rhythm): Aim | null {
  if (day === null) return { kind: 'now' };
  try {
    const date = Temporal.PlainDate.from(day, { overflow: 'reject' });
    return { kind: 'by', at: rhythm.zone.at(date, rhythm.roundsMin.at(-1)!) };
  } catch {
    return null;
  }
}

/**
 * The aim of a sowing that is begun on a day: from its first round on, or from now where that has passed.
 * @param day `YYYY-MM-DD`
 * @returns null for a day that does not exist
 */
export function beginningOn(day: string, rhythm: Rhythm, now: Millis): Aim | null {
  try {
    const date = Temporal.PlainDate.from(day, { overflow: 'reject' });
    return { kind: 'from', at: Math.max(now, rhythm.zone.at(date, rhythm.roundsMin[0]!)) };
  } catch {
    return null;
  }
}
