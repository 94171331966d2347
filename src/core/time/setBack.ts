import { MINUTE, type Millis } from './zone.ts';

/** Two clocks may differ by so much and still tell the same time. */
export const CLOCK_SLACK = 10 * MINUTE;

/**
 * The time under which a touch is recorded. Nothing is touched later than now: a later time comes from a wrong clock. Where
 * the log already holds a later time than now, this clock was set back since; what is touched now is then recorded right
 * after the last entry, for the order is certain and the time is not.
 * @param at the time of the touch on the device's own clock
 * @param latest the last time in the log
 * @returns the time, and whether it differs from `at`
 */
export function recordedAt(at: Millis, now: Millis, latest: Millis): { at: Millis; corrected: boolean } {
  const wasSetBack = latest > now + CLOCK_SLACK;
  const taken = wasSetBack && at >= now - CLOCK_SLACK ? latest : Math.min(at, now + MINUTE);
  return { at: taken, corrected: Math.abs(taken - at) > CLOCK_SLACK };
}
