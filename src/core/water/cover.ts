import type { Followed } from '../sowing/follow.ts';
import type { Millis } from '../time/zone.ts';
import type { Cover } from './bucket.ts';

/** What lies over the medium at a moment, as it was or as it is expected to be. */
export function coverAt({ state, path, forecast, sownAt }: Followed, at: Millis): Cover {
  const lit = state.litAt ?? (path.lightFrom === 'sown' ? sownAt : Infinity);
  if (at < lit) return path.cover === 'none' ? 'germinating' : 'covered';
  const open = forecast.marks.windowOpen.p50;
  if (path.lightFrom === 'sown' && at < forecast.marks.rooted.p50) return 'germinating';
  return at >= lit + ((open - lit) * 2) / 3 ? 'lastThird' : 'canopy';
}
