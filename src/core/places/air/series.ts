import { HOUR, type Millis } from '../../time/zone.ts';
import type { Reading } from './reading.ts';

/** Readings are kept for the clock as means of three hours: finer than a crop answers to. */
export const BIN_MS = 3 * HOUR;
/** A gap up to this long is bridged between its neighbours; over it, the usual warmth stands in. */
const MOST_BRIDGED_BINS = 2;

/** The mean air of one stretch of three hours. */
export interface AirBin {
  /** Whole stretches since 1970. */
  index: number;
  tempC: number;
  humidityPct: number | null;
}

/** The stretch that a moment lies in. */
export const binIndex = (at: Millis): number => Math.floor(at / BIN_MS);

/** Puts readings into stretches of three hours, each with its mean; in order, none for a gap. */
export function binned(readings: readonly Reading[]): AirBin[] {
  const sums = new Map<number, { tempC: number; count: number; humidity: number; measured: number }>();
  for (const { at, tempC, humidityPct } of readings) {
    const index = binIndex(at);
    const sum = sums.get(index) ?? { tempC: 0, count: 0, humidity: 0, measured: 0 };
    sum.tempC += tempC;
    sum.count += 1;
    if (humidityPct !== null) {
      sum.humidity += humidityPct;
      sum.measured += 1;
    }
    sums.set(index, sum);
  }
  return [...sums]
    .sort(([a], [b]) => a - b)
    .map(([index, sum]) => ({
      index,
      tempC: sum.tempC / sum.count,
      humidityPct: sum.measured > 0 ? sum.humidity / sum.measured : null
    }));
}

/** What was measured at a place, looked up by time. Short gaps are bridged, long ones are left open. */
export class AirSeries {
  private readonly byIndex = new Map<number, AirBin>();
  readonly firstIndex: number;
  readonly lastIndex: number;

  /** @param bins ascending; at least one */
  constructor(readonly bins: readonly AirBin[]) {
    bins.forEach((bin, at) => {
      this.byIndex.set(bin.index, bin);
      const before = bins[at - 1];
      const missing = before ? bin.index - before.index - 1 : 0;
      if (missing > 0 && missing <= MOST_BRIDGED_BINS)
        for (let n = 1; n <= missing; n += 1)
          this.byIndex.set(before!.index + n, between(before!, bin, n / (missing + 1)));
    });
    this.firstIndex = bins[0]?.index ?? Infinity;
    this.lastIndex = bins.at(-1)?.index ?? -Infinity;
  }

  /** The air of a stretch; null where nothing was measured near it. */
  bin(index: number): AirBin | null {
    return this.byIndex.get(index) ?? null;
  }

  /** The stretches of the last three days that were measured, where they are most of them; else null. */
  recent(): readonly AirBin[] | null {
    const last = this.bins.filter(({ index }) => index > this.lastIndex - RECENT_BINS);
    return last.length >= RECENT_BINS * ENOUGH ? last : null;
  }

  /** Stretches without a reading between the first and the last: what a chart leaves open. */
  gaps(): { from: Millis; until: Millis }[] {
    return this.bins.flatMap((bin, at) => {
      const before = this.bins[at - 1];
      return before && bin.index - before.index - 1 > MOST_BRIDGED_BINS
        ? [{ from: (before.index + 1) * BIN_MS, until: bin.index * BIN_MS }]
        : [];
    });
  }
}

const RECENT_BINS = (3 * 24 * HOUR) / BIN_MS;
const ENOUGH = 0.75;

const between = (a: AirBin, b: AirBin, share: number): AirBin => ({
  index: 0,
  tempC: a.tempC + (b.tempC - a.tempC) * share,
  humidityPct:
    a.humidityPct === null || b.humidityPct === null
      ? null
      : a.humidityPct + (b.humidityPct - a.humidityPct) * share
});

/**
 * Stretches as a place carries them, small enough to go with every page: the first one's index, the warmth of
 * each in tenths of a degree, and the humidity of each in percent; `165432:185,187,,190/55,,,57`, where nothing
 * between two commas is a gap. Null for none.
 */
export function packAir(bins: readonly AirBin[]): string | null {
  const [first] = bins;
  if (!first) return null;
  const temps: string[] = [];
  const humidities: string[] = [];
  for (const { index, tempC, humidityPct } of bins) {
    temps[index - first.index] = String(Math.round(tempC * 10));
    humidities[index - first.index] = humidityPct === null ? '' : String(Math.round(humidityPct));
  }
  return `${first.index}:${temps.join(',')}/${humidities.join(',')}`;
}

/** The stretches of what {@link packAir} made. */
export function unpackAir(packed: string): AirBin[] {
  const [, first = '', temps = '', humidities = ''] = /^(\d+):([^/]*)\/(.*)$/.exec(packed) ?? [];
  const humidity = humidities.split(',');
  return temps.split(',').flatMap((deciC, at) =>
    deciC === ''
      ? []
      : [
          {
            index: Number(first) + at,
            tempC: Number(deciC) / 10,
            humidityPct: humidity[at] ? Number(humidity[at]) : null
          }
        ]
  );
}

/** When what {@link packAir} made was last measured: the end of its last stretch. */
export function lastMeasuredAt(packed: string): Millis {
  const [first = '', temps = ''] = packed.split(/[:/]/);
  return (Number(first) + temps.split(',').length) * BIN_MS;
}

const series = new WeakMap<object, AirSeries | null>();

/** What was measured at a place; null for nothing. Read once. */
export function airOf(place: { air?: string | null }): AirSeries | null {
  let known = series.get(place);
  if (known === undefined) {
    const bins = place.air ? unpackAir(place.air) : [];
    series.set(place, (known = bins.length > 0 ? new AirSeries(bins) : null));
  }
  return known;
}
