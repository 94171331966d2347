import type { Millis } from '../time/zone.ts';
import type { Cover } from './bucket.ts';
import type { Watered } from './watered.ts';

/** What lies over the medium at a moment, as it was or as it is expected to be. */
export function coverAt({ state, path, forecast, startAt }: Watered, at: Millis): Cover {
  const open = path.cover === 'none';
  const bare = open ? startAt : (state.litAt ?? Infinity);
  if (at < bare) return 'covered';
  if (open && at < forecast.marks.rooted.p50) return 'germinating';
  return at >= bare + ((forecast.marks.windowOpen.p50 - bare) * 2) / 3 ? 'lastThird' : 'canopy';
}
