import type { Clock } from './clock.ts';
import type { Crop } from '../crops/crop.ts';
import type { Millis } from '../time/zone.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { tableOptimumDays, type Mark } from './marks.ts';
import { SPREAD } from './spread.ts';

/** What looks said of one mark: the last "not yet" before it was seen, and the first look that saw it. */
export interface MarkSeen {
  mark: Mark;
  /** The last look that found it not reached; null where there was none. */
  notYetAt: Millis | null;
  /** The first look that found it reached; null while there is none. */
  reachedAt: Millis | null;
  /** The event of that first look. */
  eventId?: string;
}

/**
 * What a mark that was seen says of ln(duration / table): one observation with the variance of its
 * interval, of the stage (docs/model.md, 5) and of the look. Null for a mark not seen yet, or seen with the clock at 0.
 */
export function evidenceOf(crop: Crop, clock: Clock, seen: MarkSeen): Gaussian | null {
  if (seen.reachedAt === null) return null;
  const table = tableOptimumDays(crop)[seen.mark];
  const tauB = clock.tau(seen.reachedAt);
  if (tauB <= 0) return null;
  const sd = Math.sqrt(SPREAD.household ** 2 + SPREAD.crop ** 2 + crop.durationCv ** 2 + SPREAD.stage ** 2);
  const unseen = Math.max(tauB / 2, table * Math.exp(-3 * sd));
  const looked = seen.notYetAt === null ? 0 : clock.tau(seen.notYetAt);
  const tauA = Math.min(tauB, looked > 0 ? looked : unseen);
  return {
    mean: Math.log(Math.sqrt(tauA * tauB) / table),
    variance: SPREAD.stage ** 2 + SPREAD.look ** 2 + Math.log(tauB / tauA) ** 2 / 12
  };
}
