import { phi, phiQuick } from '../stats/normal.ts';
import type { Millis } from '../time/zone.ts';
import type { Interval } from './looks.ts';
import { LOOKED_SD, STAGE_SD } from './pace.ts';
import type { Mark } from './marks.ts';
import { shownAt, tauOn, WARM, type Sources, type Way } from './paceClocks.ts';

/** Weights under this share of all are not reckoned with. */
const NEGLIGIBLE = 1e-9;

/** What was said of one mark, on a grid of paces. */
export interface OnGrid {
  mark: Mark;
  intervals: readonly Interval[];
  /** The chance that the mark was reached by the end of each interval but the last, for each pace. */
  ends: readonly Float64Array[];
  /** How well each pace agrees with all of it. */
  agrees: Float64Array;
}

/** Paces with the way of each through a sowing, and what of a mark's time follows from them. */
export class PaceGrid {
  private readonly ways: readonly Way[];
  private warmWays: readonly Way[] | null = null;

  constructor(
    readonly paces: Float64Array,
    private readonly table: Readonly<Record<Mark, number>>,
    private readonly sources: Sources,
    wayOf: (pace: number) => Way
  ) {
    this.ways = Array.from(paces, wayOf);
  }

  /** Light has no part in what comes before it: those marks go by warmth alone, however early it came. */
  private waysFor(mark: Mark): readonly Way[] {
    return mark === 'rooted' || mark === 'lightReady'
      ? (this.warmWays ??= this.ways.map(({ carriedAt, ahead }) =>
          Number.isFinite(carriedAt) ? { ...WARM, carriedAt, ahead } : WARM
        ))
      : this.ways;
  }

  /** The chance that a mark is reached by a moment, for each pace. */
  private reached(mark: Mark, at: Millis): Float64Array {
    const { paces, sources } = this;
    const ways = this.waysFor(mark);
    const expected = Math.log(this.table[mark]);
    const shown = shownAt(sources, at);
    const by = new Float64Array(paces.length);
    for (let index = 0; index < by.length; index += 1) {
      const tau = tauOn(ways[index]!, at, shown);
      if (tau > 0) by[index] = phi((Math.log(tau) - expected - paces[index]!) / LOOKED_SD);
    }
    return by;
  }

  /** What was said of one mark, against each pace. */
  hear(mark: Mark, intervals: readonly Interval[]): OnGrid {
    const agrees = new Float64Array(this.paces.length);
    const ends = intervals.slice(0, -1).map(({ until }) => this.reached(mark, until));
    intervals.forEach((interval, part) => {
      if (interval.agrees === 0) return;
      const [after, before] = [ends[part], ends[part - 1]];
      for (let index = 0; index < agrees.length; index += 1)
        agrees[index]! += interval.agrees * Math.max(0, (after?.[index] ?? 1) - (before?.[index] ?? 0));
    });
    return { mark, intervals, ends, agrees };
  }

  /** The chance that a mark is reached by a moment, of a mark that nobody said anything of. */
  plainChance(weights: Float64Array, mark: Mark): (at: Millis) => number {
    const { paces, sources } = this;
    const ways = this.waysFor(mark);
    const counted = countedOf(weights);
    const expected = Math.log(this.table[mark]);
    return (at) => {
      const shown = shownAt(sources, at);
      let sum = 0;
      for (let place = 0; place < counted.length; place += 1) {
        const index = counted[place]!;
        const tau = tauOn(ways[index]!, at, shown);
        if (tau > 0) sum += weights[index]! * phiQuick((Math.log(tau) - expected - paces[index]!) / STAGE_SD);
      }
      return sum;
    };
  }

  /** The same of a mark that was looked for: its own looks cut its time into pieces. */
  seenChance(weights: Float64Array, { mark, intervals, ends }: OnGrid): (at: Millis) => number {
    const { paces, sources } = this;
    const ways = this.waysFor(mark);
    const counted = countedOf(weights);
    const expected = Math.log(this.table[mark]);
    const byEnd = ends.map((end) => counted.reduce((sum, index) => sum + weights[index]! * end[index]!, 0));
    let all = 0;
    const upTo = intervals.map(({ agrees }, part) => {
      const before = all;
      all += agrees * Math.max(0, (byEnd[part] ?? 1) - (byEnd[part - 1] ?? 0));
      return before;
    });
    if (!(all > 0)) return () => 0;
    return (at) => {
      const part = intervals.findIndex(({ until }) => at <= until);
      const { agrees } = intervals[part]!;
      if (agrees === 0) return upTo[part]! / all;
      const shown = shownAt(sources, at);
      const before = ends[part - 1];
      let sum = 0;
      for (let place = 0; place < counted.length; place += 1) {
        const index = counted[place]!;
        const tau = tauOn(ways[index]!, at, shown);
        if (tau <= 0) continue;
        const by = phiQuick((Math.log(tau) - expected - paces[index]!) / LOOKED_SD) - (before?.[index] ?? 0);
        if (by > 0) sum += weights[index]! * by;
      }
      return Math.min(1, (upTo[part]! + sum * agrees) / all);
    };
  }
}

/** Which weights count at all. */
function countedOf(weights: Float64Array): Int32Array {
  const counted: number[] = [];
  weights.forEach((weight, index) => {
    if (weight > NEGLIGIBLE) counted.push(index);
  });
  return Int32Array.from(counted);
}
