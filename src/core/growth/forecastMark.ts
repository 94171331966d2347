import type { Clock } from './clock.ts';
import type { Millis } from '../time/zone.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { phi, phiInverse } from '../stats/normal.ts';

/** When a mark is reached: 10 %, 50 % and 90 % times. All the same moment once it was seen. */
export interface MarkForecast {
  p10: Millis;
  p50: Millis;
  p90: Millis;
  seen: boolean;
}

/** ln of the optimum days to a mark, as believed. */
export type LogDuration = Gaussian;

/** Probability that the mark is reached by `at`, given that it was not at `notYetAt`. */
export function chanceBy(clock: Clock, duration: LogDuration, at: Millis, notYetAt: Millis | null): number {
  const by = reachedShare(clock, duration, at);
  const before = notYetAt === null ? 0 : reachedShare(clock, duration, notYetAt);
  return before >= 1 ? 1 : Math.max(0, (by - before) / (1 - before));
}

/** 10, 50 and 90 % times of a mark, conditioned on "not yet" at the last look (docs/model.md, 5). */
export function forecastMark(clock: Clock, duration: LogDuration, notYetAt: Millis | null): MarkForecast {
  const before = notYetAt === null ? 0 : reachedShare(clock, duration, notYetAt);
  const sd = Math.sqrt(duration.variance);
  const time = (share: number): Millis => {
    const z = phiInverse(before + share * (1 - before));
    // So far past what was believed that the table has nothing more to say: any moment now.
    if (!Number.isFinite(z)) return notYetAt!;
    return Math.max(notYetAt ?? -Infinity, clock.when(Math.exp(duration.mean + sd * z)));
  };
  return { p10: time(0.1), p50: time(0.5), p90: time(0.9), seen: false };
}

function reachedShare(clock: Clock, duration: LogDuration, at: Millis): number {
  const tau = clock.tau(at);
  return tau <= 0 ? 0 : phi((Math.log(tau) - duration.mean) / Math.sqrt(duration.variance));
}
