import { meanTempC } from '../clock/place.ts';
import type { Followed } from '../sowing/follow.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { capacityG, FULL_SHARE, heldTo, lossGPerDay, type Cover } from './bucket.ts';

/** Water in a sowing's medium. */
export interface WaterLevel {
  g: number;
  capacityG: number;
  /** g over capacity, 0 to 1. */
  share: number;
}

/** Capacity of all of a sowing's containers, g. */
export const sowingCapacityG = (sowing: Pick<Followed, 'areaCm2' | 'mediumDepthCm' | 'setup'>): number =>
  capacityG(sowing.areaCm2, sowing.mediumDepthCm, sowing.setup.medium);

/** Water that brings a medium as dry as a wrung sponge up to where seed is sown on it, g. */
export const sowingWaterG = (sowing: Pick<Followed, 'areaCm2' | 'mediumDepthCm' | 'setup'>): number =>
  sowingCapacityG(sowing) * FULL_SHARE;

/** What lies over the medium at a moment, as it was or as it is expected to be. */
function coverAt(followed: Followed, at: Millis): Cover {
  const { state, path, forecast } = followed;
  const lit = state.litAt ?? (path.lightFrom === 'sown' ? followed.sownAt : Infinity);
  if (at < lit) return path.cover === 'none' ? 'germinating' : 'covered';
  const open = forecast.marks.windowOpen.p50;
  if (path.lightFrom === 'sown' && at < forecast.marks.rooted.p50) return 'germinating';
  return at >= lit + ((open - lit) * 2) / 3 ? 'lastThird' : 'canopy';
}

const STEP = DAY / 8;

/**
 * Water in the medium at a moment: filled at sowing, lost by what lies over it and the air around it,
 * corrected by every look and every watering (model, section 6). Runs in steps of three hours.
 * @param at may lie ahead: then with nothing given until then
 */
export function waterAt(followed: Followed, at: Millis): WaterLevel {
  const full = sowingCapacityG(followed);
  const { state, sownAt, stays } = followed;
  let g = state.sownAt === null ? full * FULL_SHARE : 0;
  let time = sownAt;
  const dryUntil = (until: Millis) => {
    while (time < until) {
      const next = Math.min(until, time + STEP);
      const place = (stays.findLast(({ from }) => from <= time) ?? stays[0]!).place;
      const air = { tempC: meanTempC(place), humidityPct: place.humidityPct, movingAir: place.movingAir };
      g = Math.max(
        0,
        g - (lossGPerDay(followed.areaCm2, coverAt(followed, time), air) * (next - time)) / DAY
      );
      time = next;
    }
  };
  for (const fact of state.water) {
    if (fact.at > at) break;
    dryUntil(fact.at);
    if ('addedG' in fact) g = Math.min(full, g + fact.addedG);
    else g = heldTo(full > 0 ? g / full : 0, fact.moisture) * full;
  }
  dryUntil(at);
  return { g, capacityG: full, share: full > 0 ? g / full : 0 };
}
