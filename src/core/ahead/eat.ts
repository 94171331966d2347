import { LIKED_G, supplyWith, WEEK, WEIGHTS, type AheadProblem, type Counts, type Grams } from './problem.ts';

/** A day as it is expected to go, g. */
export interface DayAhead {
  appetiteG: number;
  eatenG: number;
  missingG: number;
  /** Past its days, and not eaten. */
  thrownG: number;
  /** Eaten and thrown by crop, in their order. */
  byCrop: number[];
  thrownByCrop: number[];
}

/** Less than this share of a day's appetite missing is no lack (starting figure). */
const SHORT_SHARE = 0.25;

/** Whether a day has too little to eat, for its gap to be told. */
export const isShort = ({ missingG, appetiteG }: Pick<DayAhead, 'missingG' | 'appetiteG'>): boolean =>
  appetiteG > 0 && missingG > SHORT_SHARE * appetiteG;

export interface Outcome {
  days: DayAhead[];
  missingG: number;
  thrownG: number;
  /** What the plan costs in all, in grams (docs/model.md, 13). */
  costG: number;
}

/** What comes of eating, summed. */
export interface Eaten {
  missing: number;
  thrown: number;
  /** Over a crop's most share of a week, for want of another, or under its least. */
  offShare: number;
  /** Of crops that are liked. */
  liked: number;
}

/** Less than this is nothing, g. */
const NOTHING = 1e-9;

/** How eating stands at the begin of a week: what was spent of each crop, and what it came to so far. */
export interface AsOf {
  day: number;
  spent: Float64Array;
  eaten: Eaten;
}

/** How to go through the days, and what to tell on the way. */
interface Along {
  onDay?: (
    day: number,
    missing: number,
    on: { eaten: Float64Array; thrown: Float64Array; beyond: number }
  ) => void;
  /** At the begin of each week. */
  onWeek?: (asOf: AsOf) => void;
  /** Goes on from there, where nothing is otherwise before. */
  from?: AsOf | undefined;
}

/** What is asked for and what is there, on the way through its days. */
interface Table {
  problem: Pick<AheadProblem, 'days' | 'crops' | 'appetiteG'>;
  supply: readonly Grams[];
  spent: Float64Array;
  ofWeek: Float64Array;
  /** The most of each crop in this week, g. */
  mostG: Float64Array;
  /** All that is wanted in this week, g. */
  weekG: number;
  byCrop: Float64Array;
  /** Of each crop, the first day by which more has to be eaten than was. */
  due: Int32Array;
  /** What is wanted still on this day, and was wanted in this week so far, g. */
  left: number;
  soFar: number;
  liked: number;
  offShare: number;
}

/** What a crop is held to: its least or its most share of the days of a week so far, the most of the whole week, or nothing. */
type Held = 'least' | 'day' | 'week' | 'none';

/**
 * Eats day by day what goes first, within each crop's share of a week: nothing before it has opened or after it is gone. A
 * crop that may be half of a week is half of each day of it while there is another, so that some is left for its end; and
 * where there is no other it is eaten all the same. No other order leaves less missing, and where no shares bind none throws
 * less away.
 */
export function eatSupply(
  problem: Pick<AheadProblem, 'days' | 'crops' | 'appetiteG'>,
  supply: readonly Grams[],
  { onDay, onWeek, from }: Along = {}
): Eaten {
  const { days, crops, appetiteG } = problem;
  const many = crops.length;
  const table: Table = {
    problem,
    supply,
    spent: from ? Float64Array.from(from.spent) : new Float64Array(many),
    ofWeek: new Float64Array(many),
    mostG: new Float64Array(many),
    weekG: 0,
    byCrop: new Float64Array(many),
    due: new Int32Array(many),
    left: 0,
    soFar: 0,
    liked: from?.eaten.liked ?? 0,
    offShare: from?.eaten.offShare ?? 0
  };
  const { spent, byCrop } = table;
  const past = new Float64Array(many);
  const shared = crops.some(({ mostShare }) => mostShare < 1);
  const wished = crops.some(({ leastShare }) => leastShare > 0);
  let { missing, thrown } = from?.eaten ?? { missing: 0, thrown: 0 };
  for (let day = from?.day ?? 0; day < days; day += 1) {
    if (day % WEEK === 0) {
      if (wished && day > (from?.day ?? 0)) endWeek(table);
      beginWeek(table, day);
      const { liked, offShare } = table;
      onWeek?.({ day, spent: Float64Array.from(spent), eaten: { missing, thrown, liked, offShare } });
    }
    table.left = appetiteG[day]!;
    table.soFar += table.left;
    byCrop.fill(0);
    if (wished) eatUp(table, day, 'least');
    if (shared) eatUp(table, day, 'day');
    eatUp(table, day, 'week');
    const within = table.left;
    if (shared) eatUp(table, day, 'none');
    const beyond = within - table.left;
    table.offShare += beyond;
    past.fill(0);
    for (let crop = 0; crop < many; crop += 1) {
      const gone = supply[crop]!.gone[day]! - spent[crop]!;
      if (gone <= 0) continue;
      past[crop] = gone;
      thrown += gone;
      spent[crop]! += gone;
    }
    const lacks = table.left > NOTHING ? table.left : 0;
    missing += lacks;
    onDay?.(day, lacks, { eaten: byCrop, thrown: past, beyond });
  }
  if (wished) endWeek(table);
  return { missing, thrown, liked: table.liked, offShare: table.offShare };
}

/** What was wanted of a crop in a week that is over, and not eaten. */
function endWeek(table: Table): void {
  const { crops } = table.problem;
  for (let crop = 0; crop < crops.length; crop += 1)
    table.offShare += Math.max(0, crops[crop]!.leastShare * table.weekG - table.ofWeek[crop]!);
}

function beginWeek(table: Table, day: number): void {
  const {
    problem: { days, crops, appetiteG },
    ofWeek,
    mostG
  } = table;
  ofWeek.fill(0);
  let week = 0;
  for (let at = day; at < Math.min(days, day + WEEK); at += 1) week += appetiteG[at]!;
  for (let crop = 0; crop < crops.length; crop += 1) {
    const share = crops[crop]!.mostShare;
    mostG[crop] = share >= 1 ? Infinity : share * week;
  }
  table.weekG = week;
  table.soFar = 0;
}

/** What may be eaten of a crop in this week by now, g. */
function heldTo({ problem, mostG, soFar }: Table, crop: number, held: Held): number {
  const { leastShare, mostShare } = problem.crops[crop]!;
  if (held === 'none') return Infinity;
  if (held === 'week') return mostG[crop]!;
  return held === 'least' ? leastShare * soFar : Math.min(mostG[crop]!, mostShare * soFar);
}

/** Eats until nothing is wanted or there is nothing more, each crop up to what it is held to. */
function eatUp(table: Table, day: number, held: Held): void {
  const {
    problem: { days, crops },
    supply,
    spent,
    ofWeek,
    byCrop,
    due
  } = table;
  while (table.left > NOTHING) {
    let [next, first, room] = [-1, Infinity, 0];
    for (let crop = 0; crop < crops.length; crop += 1) {
      const { opened, gone } = supply[crop]!;
      const there = opened[day]! - spent[crop]!;
      if (there <= NOTHING) continue;
      const free = heldTo(table, crop, held) - ofWeek[crop]!;
      if (free <= NOTHING) continue;
      while (due[crop]! < days && gone[due[crop]!]! - spent[crop]! <= NOTHING) due[crop]! += 1;
      // Of what goes on one day, what is liked is eaten first.
      const goes = due[crop]! + (crops[crop]!.liked ? 0 : 0.5);
      if (goes < first) [next, first, room] = [crop, goes, Math.min(free, there)];
    }
    if (next < 0) return;
    const goes = due[next]! < days ? supply[next]!.gone[due[next]!]! - spent[next]! : Infinity;
    const g = Math.min(table.left, room, goes);
    byCrop[next]! += g;
    spent[next]! += g;
    ofWeek[next]! += g;
    table.left -= g;
    if (crops[next]!.liked) table.liked += g;
  }
}

/** How the days go with so many begun. */
export function eat(problem: AheadProblem, counts: Counts): Outcome {
  const days: DayAhead[] = [];
  const onDay: Along['onDay'] = (day, missingG, { eaten, thrown }) => {
    const appetiteG = problem.appetiteG[day]!;
    days.push({
      appetiteG,
      eatenG: appetiteG - missingG,
      missingG,
      thrownG: thrown.reduce((all, g) => all + g, 0),
      byCrop: [...eaten],
      thrownByCrop: [...thrown]
    });
  };
  const sum = eatSupply(problem, supplyWith(problem, counts), { onDay });
  return { days, missingG: sum.missing, thrownG: sum.thrown, costG: costOf(problem, counts, sum) };
}

/** What missing and thrown grams cost, g. */
export const eatingCostG = ({ missing, thrown, offShare, liked }: Eaten): number =>
  WEIGHTS.missing * missing + WEIGHTS.thrown * thrown + WEIGHTS.share * offShare - LIKED_G * liked;

/** What a plan costs, by what comes of it, g. */
export function costOf(
  { starts, worked }: Pick<AheadProblem, 'starts' | 'worked'>,
  counts: Counts,
  eaten: Eaten
): number {
  const works = new Set<number>();
  let cost = eatingCostG(eaten);
  starts.forEach(({ sowingId, workDays, costG }, index) => {
    const count = counts[index]!;
    cost += WEIGHTS.change * Math.abs(count - (sowingId === null ? 0 : 1)) + costG * count;
    if (count > 0) for (const day of workDays) if (!worked[day]) works.add(day);
  });
  return cost + WEIGHTS.workDay * works.size;
}
