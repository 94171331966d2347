import { temperatureResponse, type Cardinals } from '../../crops/temperature.ts';
import type { Millis } from '../../time/zone.ts';
import { DAY_HOURS, type Place } from '../place.ts';
import { airOf, BIN_MS, type AirSeries } from './series.ts';

/** How fast a crop develops at a moment, for want of warmth alone. */
type Rates = (at: Millis) => number;

const known = new WeakMap<Place, WeakMap<Cardinals, Rates>>();

/**
 * How fast a crop develops in a place: measured air answers for its own three hours, what is usual there for all others.
 * Worked out once for a crop and a place that was measured: every sowing there asks for the same stretches.
 */
export function warmthRates(crop: Cardinals, place: Place): Rates {
  const air = airOf(place);
  // A place that is being described changes under the hand; one with readings is as it was read.
  if (!air) {
    const usual = usualRate(crop, place);
    return () => usual;
  }
  let here = known.get(place);
  if (!here) known.set(place, (here = new WeakMap()));
  let rates = here.get(crop);
  if (!rates) here.set(crop, (rates = measuredRates(crop, place, air)));
  return rates;
}

/** How fast it develops there where nothing is measured: by the last three days of readings, else by what is usual. */
export function usualWarmthRate(crop: Cardinals, place: Place): number {
  const recent = airOf(place)?.recent();
  return recent
    ? recent.reduce((sum, { tempC }) => sum + temperatureResponse(crop, tempC), 0) / recent.length
    : usualRate(crop, place);
}

function measuredRates(crop: Cardinals, place: Place, air: AirSeries): Rates {
  const usual = usualWarmthRate(crop, place);
  const rates: (number | undefined)[] = [];
  const { firstIndex, lastIndex } = air;
  for (let index = firstIndex; index <= lastIndex; index += 1) {
    const bin = air.bin(index);
    rates.push(bin ? temperatureResponse(crop, bin.tempC) : undefined);
  }
  return (at) => rates[Math.floor(at / BIN_MS) - firstIndex] ?? usual;
}

function usualRate(crop: Cardinals, place: Place): number {
  const day = temperatureResponse(crop, place.dayC);
  const night = temperatureResponse(crop, place.nightC);
  return (day * DAY_HOURS + night * (24 - DAY_HOURS)) / 24;
}
