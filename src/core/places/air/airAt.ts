import { meanTempC, saidAt, type Place } from '../place.ts';
import { airOf, BIN_MS, binIndex } from './series.ts';
import type { Millis } from '../../time/zone.ts';

/** The air over a tray. */
export interface Air {
  tempC: number;
  humidityPct: number;
  movingAir: boolean;
}

/** The air at a place at a moment: as measured, else as it was of late, else as it usually is there. */
export function airAt(place: Place, at: Millis): Air {
  const { movingAir } = place;
  const measured = airOf(place)?.bin(binIndex(at));
  // What is usual takes three days of readings to work out, and a round asks for hundreds of moments.
  if (measured && measured.humidityPct !== null)
    return { tempC: measured.tempC, humidityPct: measured.humidityPct, movingAir };
  const expected = isUnmeasured(place, at) ? saidAir(saidAt(place, at)) : usualAir(place);
  return { tempC: measured?.tempC ?? expected.tempC, humidityPct: expected.humidityPct, movingAir };
}

/** Whether it lies before anything was measured there: a new sensor says nothing of what was before it. */
const isUnmeasured = (place: Place, at: Millis): boolean =>
  binIndex(at) < (airOf(place)?.firstIndex ?? Infinity);

const saidAir = (said: Pick<Place, 'dayC' | 'nightC' | 'humidityPct'>): UsualAir => ({
  tempC: meanTempC(said),
  humidityPct: said.humidityPct,
  measured: false
});

/**
 * What is expected where nothing is measured: the mean of the last three days of readings where there are
 * enough of them, else what the household said. A sensor knows the kitchen better than a guess of it, until it falls silent.
 */
export function usualAir(place: Place): UsualAir {
  // A place that is being described changes under the hand; one with readings is as it was read.
  if (!place.air) return workedOut(place);
  let known = usual.get(place);
  if (!known) usual.set(place, (known = workedOut(place)));
  return known;
}

/** The usual air of a place, and whether that was measured. */
export interface UsualAir {
  tempC: number;
  humidityPct: number;
  measured: boolean;
}

/** Three days of readings are gone through once a place, not once a tray. */
const usual = new WeakMap<Place, UsualAir>();

function workedOut(place: Place): UsualAir {
  const recent = airOf(place)?.recent();
  if (!recent) return saidAir(place);
  const damp = recent.flatMap(({ humidityPct }) => (humidityPct === null ? [] : [humidityPct]));
  const own = place.ownShare ?? 0;
  const mixed = (measured: number, said: number) => measured * (1 - own) + said * own;
  return {
    tempC: mixed(mean(recent.map(({ tempC }) => tempC)), meanTempC(place)),
    humidityPct: damp.length > 0 ? mixed(mean(damp), place.humidityPct) : place.humidityPct,
    measured: own < 1
  };
}

/** Where the warmth of a place changes between two moments: the edges of what was measured there. */
export function warmthEdges(place: Place, from: Millis, until: Millis): Millis[] {
  const air = airOf(place);
  const edges = (place.usualBefore ?? []).map((said) => said.until).filter((at) => at > from && at < until);
  if (!air) return edges;
  const last = Math.min(air.lastIndex + 1, binIndex(until));
  for (let index = Math.max(air.firstIndex, binIndex(from) + 1); index <= last; index += 1)
    edges.push(index * BIN_MS);
  return edges;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
