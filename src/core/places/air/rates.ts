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
  if (!air) return saidRates(crop, place);
  let here = known.get(place);
  if (!here) known.set(place, (here = new WeakMap()));
  let rates = here.get(crop);
  if (!rates) here.set(crop, (rates = measuredRates(crop, place, air)));
  return rates;
}

/** How fast it develops there where nothing is measured: by the last three days of readings, else by what is usual. */
export function usualWarmthRate(crop: Cardinals, place: Place): number {
  const recent = airOf(place)?.recent();
  const said = usualRate(crop, place);
  if (!recent) return said;
  const measured =
    recent.reduce((sum, { tempC }) => sum + temperatureResponse(crop, tempC), 0) / recent.length;
  const own = place.ownShare ?? 0;
  return measured * (1 - own) + said * own;
}

function measuredRates(crop: Cardinals, place: Place, air: AirSeries): Rates {
  const usual = usualWarmthRate(crop, place);
  const rates: (number | undefined)[] = [];
  const { firstIndex, lastIndex } = air;
  for (let index = firstIndex; index <= lastIndex; index += 1) {
    const bin = air.bin(index);
    rates.push(bin ? temperatureResponse(crop, bin.tempC) : undefined);
  }
  const before = saidRates(crop, place);
  return (at) => {
    const index = Math.floor(at / BIN_MS) - firstIndex;
    // A new sensor says nothing of what was before it.
    return index < 0 ? before(at) : (rates[index] ?? usual);
  };
}

/** By what was said of a place, each as long as it held. */
function saidRates(crop: Cardinals, place: Place): Rates {
  const usual = usualRate(crop, place);
  if (!place.usualBefore?.length) return () => usual;
  const before = place.usualBefore.map((said) => ({ until: said.until, rate: usualRate(crop, said) }));
  return (at) => before.find(({ until }) => at < until)?.rate ?? usual;
}

function usualRate(crop: Cardinals, place: Pick<Place, 'dayC' | 'nightC'>): number {
  const day = temperatureResponse(crop, place.dayC);
  const night = temperatureResponse(crop, place.nightC);
  return (day * DAY_HOURS + night * (24 - DAY_HOURS)) / 24;
}
