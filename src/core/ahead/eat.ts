import { WEEK } from './horizon.ts';
import { LIKED_G, supplyWith, WEIGHTS, type AheadProblem, type Counts, type Grams } from './problem.ts';
import { AIMED_SHARE, lacksOfVarietyG, Runs } from './variety.ts';

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

export interface PlanOutcome {
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
  /** Over a crop's most share of a week, for want of another, under its least, or lacking of the crops that a week wants. */
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
  /** Asked at the begin of each week: what comes of all where the rest goes as it is known to go; null where it does not. */
  ends?: (day: number, spent: Float64Array, soFar: Eaten) => Eaten | null;
  table?: Table;
}

/** What is asked for and what is there, on the way through its days. Of each crop where it says so, by its index. */
export interface Table {
  days: number;
  opened: Float64Array[];
  gone: Float64Array[];
  liked: Float64Array;
  leastShare: Float64Array;
  /** What is eaten of each crop first, as a share: its least, and what is aimed at where several are wanted. */
  firstShare: Float64Array;
  leastCrops: number | null;
  mostShare: Float64Array;
  /** Spent of each crop so far, eaten of it in this week and on this day, g. */
  spent: Float64Array;
  ofWeek: Float64Array;
  byCrop: Float64Array;
  /** What of each crop is past on this day and not eaten, g. */
  past: Float64Array;
  /** The most of each crop in this week, g. */
  mostG: Float64Array;
  /** All that is wanted in this week, g. */
  weekG: number;
  /** Crops of which something is there on this day, how many they are, and how much of each is left, g. */
  there: Int32Array;
  many: number;
  leftG: Float64Array;
  /** The first day by which more has to be eaten of each crop than was, and how much more, g. */
  due: Int32Array;
  dueG: Float64Array;
  /** What is wanted still on this day, and was wanted in this week so far, g. */
  left: number;
  soFar: number;
  likedG: number;
  offShare: number;
}

type Asked = Pick<AheadProblem, 'days' | 'crops' | 'appetiteG' | 'variety'>;

/** Room to work through the days in. Whoever asks many times for one problem makes it once. */
export function tableFor({ days, crops, variety }: Asked): Table {
  const leastCrops = variety?.leastCrops ?? null;
  const aimed = leastCrops === null ? 0 : AIMED_SHARE;
  const none = () => new Float64Array(crops.length);
  return {
    days,
    opened: [],
    gone: [],
    liked: Float64Array.from(crops, ({ liked }) => liked),
    leastShare: Float64Array.from(crops, ({ leastShare }) => leastShare),
    firstShare: Float64Array.from(crops, ({ leastShare, mostShare }) =>
      Math.max(leastShare, Math.min(aimed, mostShare))
    ),
    leastCrops,
    mostShare: Float64Array.from(crops, ({ mostShare }) => mostShare),
    spent: none(),
    ofWeek: none(),
    byCrop: none(),
    past: none(),
    mostG: none(),
    weekG: 0,
    there: new Int32Array(crops.length),
    many: 0,
    leftG: none(),
    due: new Int32Array(crops.length),
    dueG: none(),
    left: 0,
    soFar: 0,
    likedG: 0,
    offShare: 0
  };
}

function lay(table: Table, supply: readonly Grams[], from: AsOf | undefined): void {
  for (let crop = 0; crop < supply.length; crop += 1) {
    table.opened[crop] = supply[crop]!.opened;
    table.gone[crop] = supply[crop]!.gone;
    table.spent[crop] = from ? from.spent[crop]! : 0;
    // What was past before has been spent.
    table.due[crop] = from ? from.day : 0;
  }
  table.likedG = from?.eaten.liked ?? 0;
  table.offShare = from?.eaten.offShare ?? 0;
}

/** What a crop is held to: its first or its most share of the days of a week so far, the most of the whole week, or nothing. */
type Held = 'first' | 'day' | 'week' | 'none';

/**
 * Eats day by day what goes first, within each crop's share of a week: nothing before it has opened or after it is gone. A
 * crop that may be half of a week is half of each day of it while there is another, so that some is left for its end; and
 * where there is no other it is eaten all the same. Some of each is eaten first where several crops are wanted. Where no shares
 * are wished for, no other order leaves less missing, and none throws less away.
 */
export function eatSupply(
  problem: Asked,
  supply: readonly Grams[],
  { onDay, onWeek, from, ends, table = tableFor(problem) }: Along = {}
): Eaten {
  const { days, crops, appetiteG } = problem;
  lay(table, supply, from);
  const { spent, byCrop, gone, past } = table;
  const shared = crops.some(({ mostShare }) => mostShare < 1);
  const wished = table.firstShare.some((share) => share > 0);
  let { missing, thrown } = from?.eaten ?? { missing: 0, thrown: 0 };
  for (let day = from?.day ?? 0; day < days; day += 1) {
    if (day % WEEK === 0) {
      if (wished && day > (from?.day ?? 0)) endWeek(table);
      beginWeek(table, day, appetiteG);
      const soFar = { missing, thrown, liked: table.likedG, offShare: table.offShare };
      const known = ends?.(day, spent, soFar);
      if (known) return known;
      onWeek?.({ day, spent: Float64Array.from(spent), eaten: soFar });
    }
    beginDay(table, day, appetiteG[day]!);
    if (wished) eatUp(table, 'first');
    if (shared) eatUp(table, 'day');
    eatUp(table, 'week');
    const within = table.left;
    if (shared) eatUp(table, 'none');
    const beyond = within - table.left;
    table.offShare += beyond;
    for (let crop = 0; crop < crops.length; crop += 1) {
      const over = gone[crop]![day]! - spent[crop]!;
      past[crop] = Math.max(0, over);
      if (over <= 0) continue;
      thrown += over;
      spent[crop]! += over;
    }
    const lacks = table.left > NOTHING ? table.left : 0;
    missing += lacks;
    onDay?.(day, lacks, { eaten: byCrop, thrown: past, beyond });
  }
  if (wished) endWeek(table);
  return { missing, thrown, liked: table.likedG, offShare: table.offShare };
}

/** What was wanted of a crop, or of several, in a week that is over, and not eaten. */
function endWeek(table: Table): void {
  const { leastShare, ofWeek, weekG, leastCrops } = table;
  for (let crop = 0; crop < leastShare.length; crop += 1)
    table.offShare += Math.max(0, leastShare[crop]! * weekG - ofWeek[crop]!);
  if (leastCrops !== null) table.offShare += lacksOfVarietyG(ofWeek, weekG, leastCrops);
}

function beginWeek(table: Table, day: number, appetiteG: readonly number[]): void {
  const { days, ofWeek, mostG, mostShare } = table;
  let week = 0;
  for (let at = day; at < Math.min(days, day + WEEK); at += 1) week += appetiteG[at]!;
  for (let crop = 0; crop < mostShare.length; crop += 1) {
    ofWeek[crop] = 0;
    mostG[crop] = mostShare[crop]! >= 1 ? Infinity : mostShare[crop]! * week;
  }
  table.weekG = week;
  table.soFar = 0;
}

function beginDay(table: Table, day: number, appetiteG: number): void {
  const { opened, spent, there, leftG, byCrop } = table;
  table.left = appetiteG;
  table.soFar += appetiteG;
  table.many = 0;
  for (let crop = 0; crop < spent.length; crop += 1) {
    byCrop[crop] = 0;
    const left = opened[crop]![day]! - spent[crop]!;
    if (left <= NOTHING) continue;
    leftG[crop] = left;
    there[table.many++] = crop;
    lookWhenDue(table, crop);
  }
}

function lookWhenDue({ days, gone, spent, due, dueG }: Table, crop: number): void {
  const goes = gone[crop]!;
  let day = due[crop]!;
  while (day < days && goes[day]! - spent[crop]! <= NOTHING) day += 1;
  due[crop] = day;
  dueG[crop] = day < days ? goes[day]! - spent[crop]! : Infinity;
}

/** What may be eaten of a crop in this week by now, g. */
function heldTo({ firstShare, mostShare, mostG, soFar }: Table, crop: number, held: Held): number {
  switch (held) {
    case 'none':
      return Infinity;
    case 'week':
      return mostG[crop]!;
    case 'first':
      return firstShare[crop]! * soFar;
    case 'day':
      return Math.min(mostG[crop]!, mostShare[crop]! * soFar);
  }
}

/** Eats until nothing is wanted or there is nothing more, each crop up to what it is held to. */
function eatUp(table: Table, held: Held): void {
  const { there, leftG, liked, spent, ofWeek, byCrop, due, dueG } = table;
  while (table.left > NOTHING) {
    let next = -1;
    let first = Infinity;
    let room = 0;
    for (let nth = 0; nth < table.many; nth += 1) {
      const crop = there[nth]!;
      if (leftG[crop]! <= NOTHING) continue;
      // Of what goes on one day, what is liked is eaten first.
      const goes = due[crop]! + 0.5 * (1 - liked[crop]!);
      if (goes >= first) continue;
      const free = heldTo(table, crop, held) - ofWeek[crop]!;
      if (free <= NOTHING) continue;
      next = crop;
      first = goes;
      room = free;
    }
    if (next < 0) return;
    const g = Math.min(table.left, room, leftG[next]!, dueG[next]!);
    byCrop[next]! += g;
    spent[next]! += g;
    ofWeek[next]! += g;
    leftG[next]! -= g;
    dueG[next]! -= g;
    table.left -= g;
    table.likedG += liked[next]! * g;
    if (dueG[next]! <= NOTHING) lookWhenDue(table, next);
  }
}

/** How the days go with so many begun. */
export function eat(problem: AheadProblem, counts: Counts): PlanOutcome {
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
  return { days, missingG: sum.missing, thrownG: sum.thrown, costG: planCostG(problem, counts, sum) };
}

/** What missing and thrown grams cost, g. */
export const eatingCostG = ({ missing, thrown, offShare, liked }: Eaten): number =>
  WEIGHTS.missing * missing + WEIGHTS.thrown * thrown + WEIGHTS.share * offShare - LIKED_G * liked;

/** What a plan costs, by what comes of it, g. */
export function planCostG(
  problem: Pick<AheadProblem, 'starts' | 'worked' | 'days' | 'crops' | 'variety'>,
  counts: Counts,
  eaten: Eaten
): number {
  const { starts, worked } = problem;
  const works = new Set<number>();
  let cost = eatingCostG(eaten) + WEIGHTS.row * (runsOf(problem, counts)?.over() ?? 0);
  for (let index = 0; index < starts.length; index += 1) {
    const count = counts[index]!;
    const { sowingId, workDays, costG } = starts[index]!;
    if (count === 0 && sowingId === null) continue;
    cost += WEIGHTS.change * Math.abs(count - (sowingId === null ? 0 : 1)) + costG * count;
    if (count > 0) for (const day of workDays) if (!worked[day]) works.add(day);
  }
  return cost + WEIGHTS.workDay * works.size;
}

/** What is begun in a row with so many begun; null where nobody minds. */
export function runsOf(
  { starts, crops, days, variety }: Pick<AheadProblem, 'starts' | 'crops' | 'days' | 'variety'>,
  counts: Counts
): Runs | null {
  if (!variety?.mostInRow) return null;
  const runs = new Runs(crops.length, days, variety.mostInRow);
  starts.forEach(({ crop, day }, index) => runs.put(crop, day, counts[index]!));
  return runs;
}
