import { DAY, HOUR, type Millis } from '../time/zone.ts';
import type { Crop } from '../crops/crop.ts';
import { LOSS_MM_KPA } from './bucket.ts';
import { coverAt } from './cover.ts';
import { trackOf, waterAt } from './level.ts';
import type { Watered } from './watered.ts';

/** Under this share a tray asks to be touched before anything else is believed of it. */
export const TOUCH_SHARE = 0.1;
/** So little is nothing. */
const NOTHING_SHARE = 0.02;

/** Hours at nothing, at the rate of a canopy, after which it may be lost (docs/model.md, 6). */
export const BEARS_H: Record<Crop['droughtRisk'], number> = { low: 36, medium: 24, high: 12 };

const STEP = 3 * HOUR;
/** Nobody asks of a tray that has stood for longer. */
const LONGEST = 12 * DAY;

/**
 * How long a tray has stood at nothing, in hours at the rate of a canopy: under a lid it goes slower. Counted from the last
 * thing that was given or found, and from the last look at its plants: whoever looks for a cue sees whether they hang.
 */
function hoursAtNothing(sowing: Watered, now: Millis): number {
  const { water, looks } = sowing.state;
  const last = [...water, ...looks].reduce(
    (latest, { at }) => (at <= now ? Math.max(latest, at) : latest),
    -Infinity
  );
  const from = Math.max(last, now - LONGEST);
  let hours = 0;
  for (let at = now; at > from; at -= STEP) {
    if (waterAt(sowing, at).share > NOTHING_SHARE) break;
    hours += (Math.min(STEP, at - from) / HOUR) * (LOSS_MM_KPA[coverAt(sowing, at)] / LOSS_MM_KPA.canopy);
  }
  return hours;
}

/**
 * Whether a tray has probably stood dry for longer than its crop bears: nothing is promised of it until somebody has looked.
 * What has no store that could be reckoned with is never said to be lost.
 */
export function mayBeLost(sowing: Watered, now: Millis): boolean {
  const { state } = sowing;
  if (state.sownAt === null || now <= state.sownAt || trackOf(sowing).fullG(now) === 0) return false;
  if (waterAt(sowing, now).share > NOTHING_SHARE) return false;
  return hoursAtNothing(sowing, now) > BEARS_H[sowing.crop.droughtRisk];
}
