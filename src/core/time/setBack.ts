import { MINUTE, type Millis } from './zone.ts';

/** Two clocks may differ by so much and still tell the same time. */
export const CLOCK_SLACK = 10 * MINUTE;

/**
 * When something stands that was touched at `at`, by the clock of whoever touched it. Nothing can be touched later than now,
 * so a later time is that of a wrong clock. And where a log already holds a later time than now, this clock was set back
 * since: what is touched now then stands right after what was recorded before, for the order is sure and the time is not.
 * @param latest the latest time that is known of what was touched
 * @returns the time, and whether it is another than the clock of whoever touched it showed
 */
export function standsAt(at: Millis, now: Millis, latest: Millis): { at: Millis; corrected: boolean } {
  const wasSetBack = latest > now + CLOCK_SLACK;
  const taken = wasSetBack && at >= now - CLOCK_SLACK ? latest : Math.min(at, now + MINUTE);
  return { at: taken, corrected: Math.abs(taken - at) > CLOCK_SLACK };
}
