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

/** What a silence left open is asked for so long after it ended. */
const ASKED_D = 1;

/**
 * From when on nobody knows what became of trays that nothing was recorded of since: a silence that lasts, or one that ended
 * within a day. Null for none.
 */
export function unheardSince(
  standing: readonly Projected[],
  rhythm: Rhythm,
  { touchedAt, silence }: { touchedAt: Millis | null; silence: { from: Millis; until: Millis } | null },
  now: Millis
): Millis | null {
  if (touchedAt !== null && isSilent(standing, rhythm, touchedAt, now)) return touchedAt;
  if (
    silence &&
    now - silence.until < ASKED_D * DAY &&
    isSilent(standing, rhythm, silence.from, silence.until)
  )
    return silence.from;
  return null;
}
