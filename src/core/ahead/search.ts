import { costOf, eatingCostG, eatSupply, type AsOf, type Eaten } from './eat.ts';
import {
  addTo,
  fits,
  leftOf,
  standsNow,
  supplyWith,
  take,
  WEIGHTS,
  type AheadProblem,
  type Grams,
  type Start
} from './problem.ts';

/** A day that lacks less than this share of what is wanted is not worth a tray. */
const LACKS_SHARE = 0.1;
/** What has opened of a start by a day that it is to feed, as a share. */
const FEEDS_SHARE = 0.4;
/** So many days sooner or later are tried, of the same crop in the same container and of any other: at once, and with more time. */
const SHIFTS = { narrow: { sameD: 2, otherD: 0 }, wide: { sameD: 6, otherD: 4 } } as const;
const NOTHING = 1e-9;

/** Days that a start keeps its container. */
const standsD = ({ uses }: Start): number => Math.max(1, ...uses.map(({ from, until }) => until - from));

/** Days, the first included and the last not. */
interface Stretch {
  from: number;
  until: number;
}

/** A plan under way, with what it supplies and leaves, so that one start more or less is tried in no time. */
export class Search {
  readonly counts: number[];
  /** Of what is wanted on each day, what nothing is there for, or only more of a crop than its share, g. */
  missing: Float64Array;
  private readonly supply: Grams[];
  private readonly left: Float64Array[];
  private readonly works: number[];
  /** Of each start, the day on which it is begun. */
  private readonly days: Int32Array;
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

  constructor(
    private readonly problem: AheadProblem,
    private readonly looks: keyof typeof SHIFTS
  ) {
    this.counts = standsNow(problem);
    this.supply = supplyWith(problem, this.counts);
    this.left = leftOf(problem, this.counts);
    this.works = problem.worked.map((worked) => (worked ? 1 : 0));
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
    this.missing = new Float64Array(problem.days);
    this.cost = this.reckon();
  }

  /** What eating costs as things are, noted down with what is missing. */
  private reckon(): number {
    this.weeks.length = 0;
    this.eaten = eatSupply(this.problem, this.supply, {
      onDay: (day, missing, { beyond }) => (this.missing[day] = missing + beyond),
      onWeek: (asOf) => this.weeks.push(asOf)
    });
    return eatingCostG(this.eaten);
  }

  /** What the plan costs in all, g. */
  get costG(): number {
    return costOf(this.problem, this.counts, this.eaten);
  }

  /** What a start costs to begin, or saves to leave out: change, seed, and days of work that it alone makes. */
  private beginG(index: number, times: 1 | -1): number {
    const { workDays, costG, sowingId } = this.problem.starts[index]!;
    let alone = 0;
    for (const day of workDays) if (this.works[day] === (times > 0 ? 0 : 1)) alone += 1;
    return times * ((sowingId === null ? WEIGHTS.change : -WEIGHTS.change) + costG + WEIGHTS.workDay * alone);
  }

  private put(index: number, times: 1 | -1): void {
    const start = this.problem.starts[index]!;
    this.counts[index]! += times;
    addTo(this.supply[start.crop]!, start, times);
    for (const use of start.uses) take(this.left, use, times);
    for (const day of start.workDays) this.works[day]! += times;
  }

  private canAdd(index: number): boolean {
    const start = this.problem.starts[index]!;
    return this.counts[index]! < start.most && fits(this.left, start);
  }

  /** Cost of eating with one more of a start, or one less. */
  private tried(index: number, times: 1 | -1 = 1): number {
    const start = this.problem.starts[index]!;
    addTo(this.supply[start.crop]!, start, times);
    // Up to the week in which it opens everything goes as it went.
    const opens = start.opened.findIndex((g) => g > 0);
    const from = opens < 0 ? undefined : this.weeks.findLast(({ day }) => day <= opens);
    const eaten = eatSupply(this.problem, this.supply, { from });
    addTo(this.supply[start.crop]!, start, -times);
    return eatingCostG(eaten);
  }

  /**
   * Begins what mends most of the first day that lacks greens, until no start mends anything.
   * @param passes starts that come into question
   */
  fill(passes: (index: number) => boolean = () => true): void {
    const givenUp = new Set<number>();
    for (;;) {
      const day = this.missing.findIndex(
        (missing, at) => !givenUp.has(at) && missing > LACKS_SHARE * this.problem.appetiteG[at]! + NOTHING
      );
      if (day < 0) return;
      if (!this.addBest(this.feeding(day).filter(passes))) givenUp.add(day);
    }
  }

  /** Begins whatever mends anything, of whichever day, the most first. */
  grow(): void {
    while (this.mendBest(({ sowingId }, index) => sowingId === null && this.canAdd(index), 1));
  }

  /** Leaves out what is planned already and saves more than it gives, the most first. */
  leaveOut(): void {
    while (this.mendBest(({ sowingId }, index) => sowingId !== null && this.counts[index]! > 0, -1));
  }

  /** Begins one more, or one less, of the start that mends most by it. @returns whether any mends anything */
  private mendBest(may: (start: Start, index: number) => boolean, times: 1 | -1): boolean {
    let [best, bestG] = [-1, -NOTHING];
    this.problem.starts.forEach((start, index) => {
      if (!may(start, index)) return;
      const byG = this.tried(index, times) + this.beginG(index, times) - this.cost;
      if (byG < bestG) [best, bestG] = [index, byG];
    });
    if (best < 0) return false;
    this.put(best, times);
    this.cost = this.reckon();
    return true;
  }

  /** Leaves out new starts of some days. @returns whether there were any */
  clear({ from, until }: Stretch): boolean {
    const before = this.counts.slice();
    this.problem.starts.forEach(({ sowingId, day }, index) => {
      if (sowingId === null && day >= from && day < until)
        for (let count = this.counts[index]!; count > 0; count -= 1) this.put(index, -1);
    });
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
  private addBest(among: readonly number[]): boolean {
    let [best, bestG] = [-1, -NOTHING];
    for (const index of among) {
      if (!this.canAdd(index)) continue;
      // A slow tray keeps its container from others: what it mends counts by the day that it stands.
      const byG =
        (this.tried(index) + this.beginG(index, 1) - this.cost) / standsD(this.problem.starts[index]!);
      if (byG < bestG) [best, bestG] = [index, byG];
    }
    if (best < 0) return false;
    this.put(best, 1);
    this.cost = this.reckon();
    return true;
  }

  /** Starts of which greens are there on a day: of each crop in each container that with most of them. */
  private feeding(day: number): number[] {
    const { starts } = this.problem;
    const best = new Float64Array(this.alike.length).fill(FEEDS_SHARE);
    const of = new Int32Array(this.alike.length).fill(-1);
    for (let kind = 0; kind < this.alike.length; kind += 1) {
      const alike = this.alike[kind]!;
      let at = alike.length - 1;
      while (at >= 0 && this.days[alike[at]!]! >= day) at -= 1;
      for (; at >= 0; at -= 1) {
        const { opened, gone, yieldG } = starts[alike[at]!]!;
        const past = day > 0 ? gone[day - 1]! : 0;
        const share = (opened[day]! - past) / yieldG;
        if (share > best[kind]!) [best[kind], of[kind]] = [share, alike[at]!];
        // What was begun sooner is past by then.
        else if (of[kind]! >= 0 || past === yieldG) break;
      }
    }
    return [...of].filter((index) => index >= 0);
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

  /** Starts that might do better: a few days off, or the same day with another crop or container. */
  private like(index: number): number[] {
    const { sameD, otherD } = SHIFTS[this.looks];
    const day = this.days[index]!;
    const found: number[] = [];
    for (let on = Math.max(0, day - sameD); on <= day + sameD; on += 1)
      for (const other of this.byDay[on] ?? [])
        if (other !== index && (Math.abs(on - day) <= otherD || this.kinds[other] === this.kinds[index]))
          found.push(other);
    return found;
  }
}
