import type { Projected } from '../sowing/project.ts';
import { beginsAt } from '../sowing/soak.ts';
import { roundsBetween, type Rhythm } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';

/** Two days and three rounds without a word are a silence; one forgotten evening is none. */
const SILENT_DAYS = 2;
const SILENT_ROUNDS = 3;

/**
 * Whether nobody has said anything for so long that it must be asked what is true: what was not ticked may still have been
 * done. Never so where nothing could have been said.
 */
export function isSilent(
  standing: readonly Projected[],
  rhythm: Rhythm,
  lastTouchAt: Millis,
  now: Millis
): boolean {
  if (now - lastTouchAt < SILENT_DAYS * DAY) return false;
  if (
    roundsBetween(rhythm, lastTouchAt, now - 1).length < Math.min(SILENT_ROUNDS, 2 * rhythm.roundsMin.length)
  )
    return false;
  return standing.some(({ state, soak }) => state.sownAt !== null || beginsAt(soak) < now - DAY);
}
