import type { Crop } from '../crops/crop.ts';
import { usualAir } from '../places/air/airAt.ts';
import type { Place } from '../places/place.ts';
import { phi, phiInverse } from '../stats/normal.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Forecast, Stay } from './forecast.ts';
import type { MarkForecast } from './forecastMark.ts';
import { tableOptimumDays } from './marks.ts';

/** Up to this mean a place is a refrigerator, degC (starting figure). */
const COLD_STORE_C = 8;
/** A crop blackens when it is colder than its keeping temperature by this much, degC (starting figure). */
const BLACKENS_C = 2;

/** Whether nothing grows at a place and what is ripe keeps as cut greens do. */
export const isColdStore = (place: Place): boolean => usualAir(place).tempC <= COLD_STORE_C;

/** Whether a ripe tray may wait there without the cold blackening it. */
export const bearsCold = ({ keepAtC }: Pick<Crop, 'keepAtC'>, place: Place): boolean =>
  usualAir(place).tempC > keepAtC - BLACKENS_C;

/** Since when a sowing has stood in a refrigerator without a break; null where it does not. */
export function coldSince(stays: readonly Stay[]): Millis | null {
  const lastWarm = stays.findLastIndex(({ place }) => !isColdStore(place));
  return stays[lastWarm + 1]?.from ?? null;
}

/** Shares of keepsMinD and keepsMaxD in the spread of how long a tray keeps. */
const SPREAD_SD = -phiInverse(0.1);
const STEPS = 40;

/**
 * The forecast of what was put into a refrigerator when it was ripe: it keeps there for the crop's keeping days and no longer,
 * or for as much of them as was left of its window. What was not ripe has no window to keep.
 * @param since when it was put there
 */
export function heldCold(forecast: Forecast, crop: Crop, since: Millis): Forecast {
  const { marks, clock } = forecast;
  const opensAt = marks.windowOpen.p50;
  if (!(opensAt <= since)) return forecast;
  const table = tableOptimumDays(crop);
  const opened = clock.tau(opensAt);
  const window = opened * (table.windowClose / table.windowOpen - 1);
  const left = Math.min(1, Math.max(0, 1 - (clock.tau(since) - opened) / window));
  const [least, most] = [crop.keepsMinD * left * DAY, crop.keepsMaxD * left * DAY];
  const sd = Math.max((most - least) / 2 / SPREAD_SD, DAY / 24);
  const spoilt = (at: Millis): number => phi((at - since - (least + most) / 2) / sd);
  const closed = (at: Millis): number => 1 - (1 - forecast.chance('windowClose', at)) * (1 - spoilt(at));
  const closesBy = (share: number): Millis => {
    let [low, high] = [opensAt, since + most + 4 * sd];
    for (let step = 0; step < STEPS; step += 1) {
      const middle = (low + high) / 2;
      if (closed(middle) < share) low = middle;
      else high = middle;
    }
    return high;
  };
  const earlier = (mark: MarkForecast, by: Millis): MarkForecast => ({
    p10: Math.min(mark.p10, by),
    p50: Math.min(mark.p50, by),
    p90: Math.min(mark.p90, by),
    seen: mark.seen
  });
  return {
    ...forecast,
    // In the cold nothing gets better: it is at its best as it comes there.
    marks: {
      ...marks,
      windowBest: earlier(marks.windowBest, since),
      windowClose: {
        p10: closesBy(0.1),
        p50: closesBy(0.5),
        p90: closesBy(0.9),
        seen: marks.windowClose.seen
      }
    },
    get litAt() {
      return forecast.litAt;
    },
    chance: (mark, at) => {
      if (mark === 'windowClose') return closed(at);
      if (mark === 'windowBest' && at >= since) return 1;
      return forecast.chance(mark, at);
    }
  };
}
