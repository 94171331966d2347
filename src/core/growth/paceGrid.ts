import { phiQuick } from '../stats/normal.ts';
import type { Millis } from '../time/zone.ts';
import { meanLate } from './germination.ts';
import type { Interval } from './looks.ts';
import { LOOKED_SD, STAGE_SD, type Prior } from './pace.ts';
import type { Mark } from './marks.ts';
import { shownAt, tauOn, WARM, type Sources, type PaceWay } from './paceClocks.ts';

/** Weights under this share of all are not reckoned with. */
const NEGLIGIBLE = 1e-7;

/** What was said of one mark, on a grid. */
export interface OnGrid {
  mark: Mark;
  intervals: readonly Interval[];
  /** How well each pace and germination agree with all of it, pace by pace. */
  agrees: Float64Array;
}

/** The chance that a mark is reached by a moment, with about where and how wide it lies: ln of the optimum days to it. */
export interface Reached {
  by: (at: Millis) => number;
  mean: number;
  sd: number;
}

/**
 * A grid of paces and germinations with the clock of each pace, from which the times of the marks follow. The clocks of a pace
 * switch at its expected germination; another germination only shifts its marks, in optimum days.
 */
export class PaceGrid {
  private readonly late: Float64Array;
  private ways: readonly PaceWay[] | null = null;
  private warmWays: readonly PaceWay[] | null = null;

  /**
   * @param wayOf the way of a pace whose germination adds such a share to the time to `rooted`
   * @param weights of paces and germinations, from which each pace's expected germination follows
   */
  constructor(
    readonly prior: Prior,
    private readonly table: Readonly<Record<Mark, number>>,
    private readonly sources: Sources,
    private readonly wayOf: (pace: number, late: number) => PaceWay,
    weights: Float64Array = prior.weights
  ) {
    const { paces, germination } = prior;
    const usual = meanLate(germination, germination.weights, 0)!;
    this.late = new Float64Array(paces.length).fill(usual);
    if (weights !== prior.weights)
      for (let index = 0; index < paces.length; index += 1)
        this.late[index] = meanLate(germination, weights, index) ?? usual;
  }

  /** The same grid, with clocks that switch at the germination expected under other weights. */
  expecting(weights: Float64Array): PaceGrid {
    return new PaceGrid(this.prior, this.table, this.sources, this.wayOf, weights);
  }

  private allWays(): readonly PaceWay[] {
    return (this.ways ??= Array.from(this.prior.paces, (pace, index) => this.wayOf(pace, this.late[index]!)));
  }

  /** Light has no part in what comes before it: those marks go by warmth alone, however early it came. */
  private waysFor(mark: Mark): readonly PaceWay[] {
    if (mark !== 'rooted' && mark !== 'lightReady') return this.allWays();
    return (this.warmWays ??=
      this.sources.then === null
        ? Array.from(this.prior.paces, () => WARM)
        : this.allWays().map(({ carriedAt, ahead }) =>
            Number.isFinite(carriedAt) ? { ...WARM, carriedAt, ahead } : WARM
          ));
  }

  /** ln of the optimum days to a mark at the table's pace, for each germination. */
  private needs(mark: Mark): Float64Array {
    const { rooted } = this.table;
    return this.prior.germination.late.map((late) => Math.log(this.table[mark] + rooted * late));
  }

  /** The likelihood of what was said about one mark, for each pace and germination. */
  hear(mark: Mark, intervals: readonly Interval[]): OnGrid {
    const { paces } = this.prior;
    const needs = this.needs(mark);
    const nodes = needs.length;
    const ways = this.waysFor(mark);
    const agrees = new Float64Array(paces.length * nodes);
    // A sum over intervals of agreement times probability, rearranged so that each boundary is evaluated once.
    intervals.forEach((interval, part) => {
      const next = intervals[part + 1];
      if (!next) {
        for (let cell = 0; cell < agrees.length; cell += 1) agrees[cell]! += interval.agrees;
        return;
      }
      const more = interval.agrees - next.agrees;
      if (more === 0) return;
      const shown = shownAt(this.sources, interval.until);
      for (let index = 0; index < paces.length; index += 1) {
        const tau = tauOn(ways[index]!, interval.until, shown);
        if (tau <= 0) continue;
        const away = Math.log(tau) - paces[index]!;
        const first = index * nodes;
        for (let node = 0; node < nodes; node += 1)
          agrees[first + node]! += more * phiQuick((away - needs[node]!) / LOOKED_SD);
      }
    });
    for (let cell = 0; cell < agrees.length; cell += 1) agrees[cell] = Math.max(0, agrees[cell]!);
    return { mark, intervals, agrees };
  }

  /**
   * The chance that a mark is reached by a moment. For each pace, germination is replaced by one normal with the same mean and
   * variance, which is accurate enough and costs no more than a grid of paces alone.
   */
  private chanceOver(weights: Float64Array, mark: Mark, sd: number): Reached {
    const { paces } = this.prior;
    const { sources } = this;
    const ways = this.waysFor(mark);
    const needs = this.needs(mark);
    const nodes = needs.length;
    const counted: PaceWay[] = [];
    const [share, middle, narrow] = [0, 0, 0].map(() => new Float64Array(paces.length)) as [
      Float64Array,
      Float64Array,
      Float64Array
    ];
    let [mean, square] = [0, 0];
    for (let index = 0; index < paces.length; index += 1) {
      let [all, first, second] = [0, 0, 0];
      for (let node = 0; node < nodes; node += 1) {
        const weight = weights[index * nodes + node]!;
        const need = needs[node]!;
        all += weight;
        first += weight * need;
        second += weight * need * need;
      }
      if (all <= NEGLIGIBLE) continue;
      const need = first / all;
      const place = counted.push(ways[index]!) - 1;
      const variance = sd * sd + Math.max(0, second / all - need * need);
      share[place] = all;
      middle[place] = paces[index]! + need;
      narrow[place] = 1 / Math.sqrt(variance);
      mean += all * middle[place]!;
      square += all * (middle[place]! ** 2 + variance);
    }
    const by = (at: Millis): number => {
      const shown = shownAt(sources, at);
      let sum = 0;
      for (let place = 0; place < counted.length; place += 1) {
        const tau = tauOn(counted[place]!, at, shown);
        if (tau > 0) sum += share[place]! * phiQuick((Math.log(tau) - middle[place]!) * narrow[place]!);
      }
      return sum;
    };
    return { by, mean, sd: Math.sqrt(Math.max(1e-6, square - mean * mean)) };
  }

  /** The chance that a mark is reached by a moment, of a mark that nobody said anything of. */
  plainChance(weights: Float64Array, mark: Mark): Reached {
    return this.chanceOver(weights, mark, STAGE_SD);
  }

  /** The same of a mark that was looked for: its own looks cut its time into pieces. */
  seenChance(weights: Float64Array, { mark, intervals }: Pick<OnGrid, 'mark' | 'intervals'>): Reached {
    const { by, mean, sd } = this.chanceOver(weights, mark, LOOKED_SD);
    const ends = intervals.map(({ until }) => (Number.isFinite(until) ? by(until) : 1));
    let all = 0;
    const upTo = intervals.map(({ agrees }, part) => {
      const before = all;
      all += agrees * Math.max(0, ends[part]! - (ends[part - 1] ?? 0));
      return before;
    });
    if (!(all > 0)) return { by: () => 0, mean, sd };
    const seenBy = (at: Millis): number => {
      const part = intervals.findIndex(({ until }) => at <= until);
      const { agrees } = intervals[part]!;
      const within = agrees === 0 ? 0 : Math.max(0, by(at) - (ends[part - 1] ?? 0));
      return Math.min(1, (upTo[part]! + within * agrees) / all);
    };
    return { by: seenBy, mean, sd };
  }
}
