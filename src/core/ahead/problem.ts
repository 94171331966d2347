import { WEEK } from './horizon.ts';
import type { Supply } from './supply.ts';
import type { Variety } from './variety.ts';

/**
 * What is weighed against what, all in grams of greens (docs/model.md, 13). `share`: a gram over a crop's most share of a week or
 * under its least, or lacking of a crop that a week's variety wants, half as bad as no greens at all (starting figure): nobody
 * goes without while a tray stands ready. `row`: a crop begun once more in a row than is wished (starting figure).
 */
export const WEIGHTS = { missing: 10, thrown: 1, workDay: 5, change: 3, share: 5, row: 20 } as const;

/** What a gram of a crop that everybody likes is worth over one of another, g (starting figure). */
export const LIKED_G = 0.3;

/** What somebody has so many of on each day: board, what it is rated to carry, containers of a kind; or seed, in all. */
export interface Resource {
  kind: 'board' | 'load' | 'container' | 'seed';
  /** Of its place, container or crop. */
  id: string;
  name: string;
  /** All there is of it, and what is free on each day of the horizon, cm of board, g of load or containers; of seed, g over all of it. */
  total: number;
  free: Float64Array;
}

export interface Use {
  /** Index of the resource. */
  resource: number;
  /** Days, first included and last not. */
  from: number;
  until: number;
  amount: number;
}

/** One container of a crop that may be begun on a day, or is to be already. */
export interface Start {
  /** Index of its crop. */
  crop: number;
  placeId: string;
  /** Where it is carried as it comes to light; null where it stays. */
  lightPlaceId: string | null;
  containerId: string;
  /** On which it is begun. */
  day: number;
  /** On which somebody has to work for it: soaking, sowing. */
  workDays: readonly number[];
  yieldG: number;
  opened: Float64Array;
  gone: Float64Array;
  uses: readonly Use[];
  /** What its seed costs, in grams of greens from the shop. */
  costG: number;
  /** The planned sowing that it is, where it stands already; null for one that is offered. */
  sowingId: string | null;
  /** As many as may be begun on that day. */
  most: number;
}

export interface AheadCrop {
  key: string;
  /** Shares of a week's greens. */
  leastShare: number;
  mostShare: number;
  /** Share of what is eaten that is eaten by those who like it, 0 to 1. */
  liked: number;
}

/** What stands, as it is expected to go, g. */
export interface StandingSupply {
  crop: number;
  /** All that it gives, sooner or later. */
  yieldG: number;
  opened: Float64Array;
  gone: Float64Array;
}

/** What to sow when: appetite against what stands and what may be begun. */
export interface AheadProblem {
  days: number;
  appetiteG: readonly number[];
  crops: readonly AheadCrop[];
  /** What stays as it is: under way, kept, locked; by the index of its crop. */
  standing: readonly StandingSupply[];
  starts: readonly Start[];
  resources: readonly Resource[];
  /** Days on which somebody works anyway. */
  worked: readonly boolean[];
  /** Absent where nobody wishes for any. */
  variety?: Variety;
}

/** The weeks of a horizon, the last day of each not included, with all that is wanted in them, g. */
export const weeksOf = ({
  days,
  appetiteG
}: Pick<AheadProblem, 'days' | 'appetiteG'>): { from: number; until: number; wantedG: number }[] =>
  Array.from({ length: Math.ceil(days / WEEK) }, (_, week) => {
    const [from, until] = [week * WEEK, Math.min(days, (week + 1) * WEEK)];
    return { from, until, wantedG: appetiteG.slice(from, until).reduce((sum, g) => sum + g, 0) };
  });

/** How many of each start are begun. */
export type Counts = readonly number[];

/** As things stand: what is planned is begun, nothing else. */
export const standsNow = ({ starts }: Pick<AheadProblem, 'starts'>): number[] =>
  starts.map(({ sowingId }) => (sowingId === null ? 0 : 1));

/** Grams by day, neither falling. */
export type Grams = Pick<Supply, 'opened' | 'gone'>;

/** Adds one supply to another, so many times. */
export function addTo(to: Grams, { opened, gone }: Grams, times: number): void {
  for (let day = 0; day < to.opened.length; day += 1) {
    to.opened[day]! += times * opened[day]!;
    to.gone[day]! += times * gone[day]!;
  }
}

/** All that is expected of each crop with so many begun, g by day. */
export function supplyWith(problem: AheadProblem, counts: Counts): Grams[] {
  const all = problem.crops.map(() => ({
    opened: new Float64Array(problem.days),
    gone: new Float64Array(problem.days)
  }));
  for (const one of problem.standing) addTo(all[one.crop]!, one, 1);
  problem.starts.forEach((start, index) => {
    if (counts[index]! > 0) addTo(all[start.crop]!, start, counts[index]!);
  });
  return all;
}

/** Nothing is so exact. */
const NEARLY = 1e-6;

/** What is left of each resource on each day with so many begun; negative where there is too little. */
export function leftOf({ resources, starts }: AheadProblem, counts: Counts): Float64Array[] {
  const left = resources.map(({ free }) => Float64Array.from(free));
  starts.forEach(({ uses }, index) => {
    for (const use of counts[index]! > 0 ? uses : []) takeStart(left, use, counts[index]!);
  });
  return left;
}

export function takeStart(
  left: readonly Float64Array[],
  { resource, from, until, amount }: Use,
  times: number
): void {
  const of = left[resource]!;
  for (let day = from; day < Math.min(until, of.length); day += 1) of[day]! -= times * amount;
}

/** Whether there is enough left for one more. */
export function fits(left: readonly Float64Array[], { uses }: Pick<Start, 'uses'>): boolean {
  for (const { resource, from, until, amount } of uses) {
    const of = left[resource]!;
    const last = Math.min(until, of.length);
    for (let day = from; day < last; day += 1) if (of[day]! + NEARLY < amount) return false;
  }
  return true;
}
