import type { Place } from '../place.ts';
import type { Crop } from '../../crops/crop.ts';
import { usualWarmthRate } from './rates.ts';
import { usualAir } from './airAt.ts';

/** A place that is too warm for a crop: its mean over a day, and where the crop begins to suffer. degC. */
export interface TooWarm {
  meanC: number;
  keepBelowC: number;
}

/** Whether a place is on average at or over what a crop bears (docs/model.md, 3); null where it is not. */
export function tooWarm(crop: Pick<Crop, 'keepBelowC'>, place: Place): TooWarm | null {
  const { tempC } = usualAir(place);
  return tempC >= crop.keepBelowC ? { meanC: tempC, keepBelowC: crop.keepBelowC } : null;
}

/** Under this mean rate of growth nothing is promised (docs/model.md, 3). */
const STANDS_STILL = 0.15;

/** Whether a crop hardly grows at a place, and for want of what; null where it does. */
export function standsStill(crop: Crop, place: Place): 'cold' | 'hot' | null {
  if (usualWarmthRate(crop, place) >= STANDS_STILL) return null;
  return usualAir(place).tempC < crop.optimumC ? 'cold' : 'hot';
}
