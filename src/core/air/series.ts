import { HOUR, type Millis } from '../time/zone.ts';
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

/** As it travels: index, tenths of a degree, whole percent. */
export type PackedBin = readonly [index: number, deciC: number, humidityPct: number | null];

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

/** A series from how it travels; null for none. */
export const unpacked = (packed: readonly PackedBin[]): AirSeries | null =>
  packed.length === 0
    ? null
    : new AirSeries(packed.map(([index, deciC, humidityPct]) => ({ index, tempC: deciC / 10, humidityPct })));
