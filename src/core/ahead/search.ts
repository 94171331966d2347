import {
  planCostG,
  eatingCostG,
  eatSupply,
  runsOf,
  tableFor,
  type AsOf,
  type Eaten,
  type Table
} from './eat.ts';
import { WEEK } from './horizon.ts';
import type { Runs } from './variety.ts';
import {
  addTo,
  fits,
  leftOf,
  standsNow,
  supplyWith,
  takeStart,
  WEIGHTS,
  type AheadProblem,
  type Grams,
  type Start
} from './problem.ts';

/** A day that lacks less than this share of what is wanted is not worth a tray. */
const LACKS_SHARE = 0.1;
/** What has opened of a start by a day that it is to feed, as a share. */
const FEEDS_SHARE = 0.4;
/** So many days sooner or later a start is tried. */
const SHIFT_D = 2;
const NOTHING = 1e-9;
/** So little more or less of a crop was eaten where it goes on as before, g. */
const SAME_G = 1e-6;

/** What comes of all where from some moment on it goes as it did before. */
const goesOn = (soFar: Eaten, then: Eaten, all: Eaten): Eaten => ({
  missing: soFar.missing + all.missing - then.missing,
  thrown: soFar.thrown + all.thrown - then.thrown,
  offShare: soFar.offShare + all.offShare - then.offShare,
  liked: soFar.liked + all.liked - then.liked
});

/** Days that a start keeps its container. */
const standsD = ({ uses }: Start): number => Math.max(1, ...uses.map(({ from, until }) => until - from));

/** What a start keeps from others: of each thing that it takes the share of all there is, by its days. */
const keepsOf = ({ uses }: Start, { resources, days }: AheadProblem): number =>
  uses.reduce((sum, { resource, from, until, amount }) => {
    const { kind, total } = resources[resource]!;
    return sum + (Math.max(1, kind === 'seed' ? days : until - from) * amount) / Math.max(amount, total);
  }, 1e-6);

/** What a start is chosen by: what it mends in all, for each day that it keeps its container, or for what it keeps from others. */
export const WORTHS = ['a-day', 'in-all', 'a-share'] as const;
export type Worth = (typeof WORTHS)[number];

/** Days, the first included and the last not. */
interface Stretch {
  from: number;
  until: number;
}

/** A plan under way, with what it supplies and leaves, so that one start more or less is tried in no time. */
export class Search {
  readonly counts: number[];
  /** How many starts were tried so far: a measure of work that is the same on every device. */
  tries = 0;
  /** Of what is wanted on each day, what nothing is there for, or only more of a crop than its share, g. */
  missing: Float64Array;
  private readonly supply: Grams[];
  private readonly table: Table;
  private readonly left: Float64Array[];
  private readonly works: number[];
  private readonly runs: Runs | null;
  /** Of each start, the day on which it is begun. */
  private readonly days: Int32Array;
  private readonly keeps: Record<Worth, Float64Array>;
  /** Of each start, the day on which it begins to open, and on which the last of it goes. */
  private readonly opensOn: Int32Array;
  private readonly goneOn: Int32Array;
  /** What eating costs, which is what a start more or less changes first. */
  private cost: number;
  private eaten: Eaten = { missing: 0, thrown: 0, offShare: 0, liked: 0 };
  /** How eating stands at the begin of each week. */
  private readonly weeks: AsOf[] = [];
  /** New starts of one crop in one kind of container at one place, in the order of their days. */
  private readonly alike: number[][];
  /** Of each new start which of those it belongs to, and all new starts of each day. */
  private readonly kinds: Int32Array;
  private readonly byDay: number[][];
  /** What feeds each day, worked out when it is first asked for. */
  private readonly feeds: number[][][] = [];

  constructor(private readonly problem: AheadProblem) {
    this.counts = standsNow(problem);
    this.supply = supplyWith(problem, this.counts);
    this.table = tableFor(problem);
    this.left = leftOf(problem, this.counts);
    this.works = problem.worked.map((worked) => (worked ? 1 : 0));
    this.runs = runsOf(problem, this.counts);
    problem.starts.forEach(({ workDays }, index) => {
      if (this.counts[index]! > 0) for (const day of workDays) this.works[day]! += 1;
    });
    const alike = new Map<string, number[]>();
    problem.starts.forEach(({ crop, containerId, placeId, lightPlaceId, sowingId }, index) => {
      if (sowingId !== null) return;
      const key = `${crop} ${containerId} ${placeId} ${lightPlaceId}`;
      if (!alike.has(key)) alike.set(key, []);
      alike.get(key)!.push(index);
    });
    this.alike = [...alike.values()];
    this.kinds = new Int32Array(problem.starts.length).fill(-1);
    this.byDay = Array.from({ length: problem.days }, () => []);
    this.alike.forEach((kind, nth) => {
      for (const index of kind) {
        this.kinds[index] = nth;
        this.byDay[problem.starts[index]!.day]!.push(index);
      }
    });
    this.days = Int32Array.from(problem.starts, ({ day }) => day);
    const firstDay = (grams: Float64Array, isSo: (g: number) => boolean): number => {
      const day = grams.findIndex(isSo);
      return day < 0 ? problem.days : day;
    };
    this.keeps = {
      'in-all': new Float64Array(problem.starts.length).fill(1),
      'a-day': Float64Array.from(problem.starts, standsD),
      'a-share': Float64Array.from(problem.starts, (start) => keepsOf(start, problem))
    };
    this.opensOn = Int32Array.from(problem.starts, ({ opened }) => firstDay(opened, (g) => g > 0));
    this.goneOn = Int32Array.from(problem.starts, ({ gone, yieldG }) =>
      firstDay(gone, (g) => g > yieldG - SAME_G)
    );
    this.missing = new Float64Array(problem.days);
    this.cost = this.reckon();
  }

  /** What eating costs as things are, noted down with what is missing. */
  private reckon(): number {
    this.weeks.length = 0;
    this.eaten = eatSupply(this.problem, this.supply, {
      table: this.table,
      onDay: (day, missing, { beyond }) => (this.missing[day] = missing + beyond),
      onWeek: (asOf) => this.weeks.push(asOf)
    });
    return eatingCostG(this.eaten);
  }

  /** What the plan costs in all, g. */
  get costG(): number {
    return planCostG(this.problem, this.counts, this.eaten);
  }

  /** What a start costs to begin, or saves to leave out: change, seed, days of work that it alone makes, and a row that it makes too long. */
  private beginG(index: number, times: 1 | -1): number {
    const { workDays, costG, sowingId, crop, day: begins } = this.problem.starts[index]!;
    const rows = this.runs ? WEIGHTS.row * this.runs.overBy(crop, begins, times) : 0;
    let alone = 0;
    for (const day of workDays) if (this.works[day] === (times > 0 ? 0 : 1)) alone += 1;
    return (
      rows +
      times * ((sowingId === null ? WEIGHTS.change : -WEIGHTS.change) + costG + WEIGHTS.workDay * alone)
    );
  }

  private put(index: number, times: 1 | -1): void {
    const start = this.problem.starts[index]!;
    this.counts[index]! += times;
    addTo(this.supply[start.crop]!, start, times);
    for (const use of start.uses) takeStart(this.left, use, times);
    for (const day of start.workDays) this.works[day]! += times;
    this.runs?.put(start.crop, start.day, times);
  }

  private canAdd(index: number): boolean {
    const start = this.problem.starts[index]!;
    return this.counts[index]! < start.most && fits(this.left, start);
  }

  /** Cost of eating with one more of a start, or one less. */
  private tried(index: number, times: 1 | -1 = 1): number {
    this.tries += 1;
    const start = this.problem.starts[index]!;
    addTo(this.supply[start.crop]!, start, times);
    // Up to the week in which it opens everything goes as it went, and from a week on in which all of it is gone and no crop is
    // ahead or behind.
    const from = this.weeks.findLast(({ day }) => day <= this.opensOn[index]!);
    const ends = (day: number, spent: Float64Array, soFar: Eaten): Eaten | null => {
      if (day <= this.goneOn[index]!) return null;
      const before = this.weeks[day / WEEK]!;
      for (let crop = 0; crop < spent.length; crop += 1) {
        const own = crop === start.crop ? times * start.yieldG : 0;
        if (Math.abs(spent[crop]! - before.spent[crop]! - own) > SAME_G) return null;
      }
      return goesOn(soFar, before.eaten, this.eaten);
    };
    const eaten = eatSupply(this.problem, this.supply, { from, ends, table: this.table });
    addTo(this.supply[start.crop]!, start, -times);
    return eatingCostG(eaten);
  }

  /**
   * Begins what mends most of the first day that lacks greens, until no start mends anything.
   * @param passes starts that come into question
   */
  fill(passes: (index: number) => boolean = () => true, by: Worth = 'a-day'): void {
    const givenUp = new Set<number>();
    for (;;) {
      const day = this.missing.findIndex(
        (missing, at) => !givenUp.has(at) && missing > LACKS_SHARE * this.problem.appetiteG[at]! + NOTHING
      );
      if (day < 0) return;
      if (!this.addBest(this.feeding(day).filter(passes), by)) givenUp.add(day);
    }
  }

  /**
   * Begins whatever mends anything, the most first, for what it keeps from others. What was tried before another was begun mends
   * less after it, and hardly ever more: only what seems best is tried anew (lazy greedy; Minoux 1978).
   * @param among starts that come into question
   */
  grow(by: Worth = 'in-all', among: (index: number) => boolean = () => true): void {
    const keeps = this.keeps[by];
    const worth = (index: number): number =>
      (this.tried(index) + this.beginG(index, 1) - this.cost) / keeps[index]!;
    const open: number[] = [];
    const worths = new Float64Array(this.counts.length);
    /** How many had been begun when each was last tried. */
    const triedAt = new Int32Array(this.counts.length);
    for (let index = 0; index < this.counts.length; index += 1) {
      if (this.kinds[index]! < 0 || !among(index) || !this.canAdd(index)) continue;
      worths[index] = worth(index);
      if (worths[index]! < -NOTHING) open.push(index);
    }
    let begun = 0;
    while (open.length > 0) {
      let best = 0;
      for (let n = 1; n < open.length; n += 1) if (worths[open[n]!]! < worths[open[best]!]!) best = n;
      const index = open[best]!;
      if (!this.canAdd(index) || worths[index]! >= -NOTHING) {
        open[best] = open.at(-1)!;
        open.pop();
      } else if (triedAt[index] === begun) {
        this.put(index, 1);
        this.cost = this.reckon();
        begun += 1;
      } else {
        worths[index] = worth(index);
        triedAt[index] = begun;
      }
    }
  }

  /** Leaves out what is planned already and saves more than it gives, the most first. */
  leaveOut(): void {
    for (;;) {
      let best = -1;
      let bestG = -NOTHING;
      this.problem.starts.forEach(({ sowingId }, index) => {
        if (sowingId === null || this.counts[index] === 0) return;
        const byG = this.tried(index, -1) + this.beginG(index, -1) - this.cost;
        if (byG < bestG) [best, bestG] = [index, byG];
      });
      if (best < 0) return;
      this.put(best, -1);
      this.cost = this.reckon();
    }
  }

  /** Leaves out new starts of some days. @returns whether there were any */
  clear({ from, until }: Stretch): boolean {
    const before = this.counts.slice();
    for (let index = 0; index < this.counts.length; index += 1) {
      if (this.counts[index] === 0 || this.kinds[index]! < 0) continue;
      if (this.days[index]! < from || this.days[index]! >= until) continue;
      for (let count = this.counts[index]!; count > 0; count -= 1) this.put(index, -1);
    }
    this.cost = this.reckon();
    return before.some((count, index) => count !== this.counts[index]);
  }

  /** Back to a plan as it was. */
  restore(counts: readonly number[]): void {
    counts.forEach((count, index) => {
      while (this.counts[index]! > count) this.put(index, -1);
      while (this.counts[index]! < count) this.put(index, 1);
    });
    this.cost = this.reckon();
  }

  /** Begins the start that mends most, if any mends anything. */
  private addBest(among: readonly number[], by: Worth): boolean {
    let [best, bestG] = [-1, -NOTHING];
    for (const index of among) {
      if (!this.canAdd(index)) continue;
      // A slow tray keeps its container from others: what it mends counts by the day that it stands.
      const mendsG = this.tried(index) + this.beginG(index, 1) - this.cost;
      const byG = mendsG / this.keeps[by][index]!;
      if (byG < bestG) [best, bestG] = [index, byG];
    }
    if (best < 0) return false;
    this.put(best, 1);
    this.cost = this.reckon();
    return true;
  }

  /** Starts of which greens are there on a day: of each kind that with most of them for which there is room. */
  private feeding(day: number): number[] {
    const found: number[] = [];
    for (const kind of (this.feeds[day] ??= this.feedingOn(day))) {
      const first = kind.find((index) => this.canAdd(index));
      if (first !== undefined) found.push(first);
    }
    return found;
  }

  /** Of each kind all starts of which enough is there on a day, those with most of it first. */
  private feedingOn(day: number): number[][] {
    const shareOf = (index: number): number => {
      const { opened, gone, yieldG } = this.problem.starts[index]!;
      return (opened[day]! - (day > 0 ? gone[day - 1]! : 0)) / yieldG;
    };
    return this.alike.flatMap((kind) => {
      const shares = kind.map((index) => ({ index, share: shareOf(index) }));
      const enough = shares.filter(({ index, share }) => share > FEEDS_SHARE && this.days[index]! < day);
      // Of those alike the latest: it keeps its place for the least time before.
      enough.sort((a, b) => b.share - a.share || this.days[b.index]! - this.days[a.index]!);
      return enough.length > 0 ? [enough.map(({ index }) => index)] : [];
    });
  }

  /**
   * Tries each start that was chosen on other days, with another crop or container, and without it.
   * @param of those that are begun in these days
   */
  improve({ from, until }: Stretch = { from: 0, until: Infinity }): boolean {
    const { starts } = this.problem;
    let improved = false;
    const chosen = this.counts.flatMap((count, index) =>
      count > 0 && starts[index]!.sowingId === null && this.days[index]! >= from && this.days[index]! < until
        ? [index]
        : []
    );
    for (const index of chosen) {
      if (this.counts[index] === 0) continue;
      const before = this.cost;
      const saved = this.beginG(index, -1);
      this.put(index, -1);
      const without = this.reckon();
      let [best, bestG] = [-1, without + saved];
      for (const other of this.like(index)) {
        if (!this.canAdd(other)) continue;
        const cost = this.tried(other) + saved + this.beginG(other, 1);
        if (cost < bestG - NOTHING) [best, bestG] = [other, cost];
      }
      if (bestG >= before - 1e-6) best = index;
      else improved = true;
      if (best >= 0) this.put(best, 1);
      this.cost = this.reckon();
    }
    return improved;
  }

  /** Starts that might do better: the same a few days off, and any other of the same day. */
  private like(index: number): number[] {
    const day = this.days[index]!;
    const found: number[] = [];
    for (let on = Math.max(0, day - SHIFT_D); on <= day + SHIFT_D; on += 1)
      for (const other of this.byDay[on] ?? [])
        if (other !== index && (on === day || this.kinds[other] === this.kinds[index])) found.push(other);
    return found;
  }
}
