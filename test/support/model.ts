import { eat } from '../../src/core/ahead/eat.ts';
import { WEEK } from '../../src/core/ahead/horizon.ts';
import type { AheadPlan } from '../../src/core/ahead/greedy.ts';
import { LIKED_G, supplyWith, weeksOf, WEIGHTS, type AheadProblem } from '../../src/core/ahead/problem.ts';

/** A mixed-integer linear model as solvers take it: columns with bounds and costs, rows between bounds, both sparse. */
export interface LinearModel {
  cost: number[];
  lower: number[];
  upper: number[];
  whole: boolean[];
  rowLower: number[];
  rowUpper: number[];
  /** Of each row: the columns in it and their factors. */
  rows: { columns: number[]; factors: number[] }[];
  /** What all of it costs besides. */
  offset: number;
}

/** Where the parts of a plan stand among the columns. */
interface Layout {
  /** Eaten of a crop on a day, g. */
  eaten(crop: number, day: number): number;
  thrown(crop: number, day: number): number;
  /** Opened and not spent yet, and spent of what is not past yet; neither may fall under nothing. */
  there(crop: number, day: number): number;
  ahead(crop: number, day: number): number;
  missing(day: number): number;
  works: ReadonlyMap<number, number>;
  /** Under its least share of a week, and over its most, g. */
  short(crop: number, week: number): number;
  beyond(crop: number, week: number): number;
}

type Term = readonly [column: number, factor: number];
type Row = (lower: number, terms: readonly Term[], upper: number) => void;

/**
 * The model of docs/model.md, 13: whole containers begun, greens eaten and thrown by crop and day, what is missing, days of
 * work; availability, appetite, shares, board, containers and seed hold. What has opened and what is spent are carried from
 * day to day, and not summed anew in each row: a start then stands only in the rows of the days on which it opens or goes.
 */
export function modelOf(problem: AheadProblem): LinearModel {
  const { days, crops, starts, appetiteG } = problem;
  const model: LinearModel = {
    cost: [],
    lower: [],
    upper: [],
    whole: [],
    rowLower: [],
    rowUpper: [],
    rows: [],
    offset: 0
  };
  const column = (cost: number, upper = Infinity, whole = false): number => {
    model.cost.push(cost);
    model.lower.push(0);
    model.upper.push(upper);
    model.whole.push(whole);
    return model.cost.length - 1;
  };
  const row: Row = (lower, terms, upper) => {
    const used = terms.filter(([, factor]) => factor !== 0);
    model.rows.push({ columns: used.map(([at]) => at), factors: used.map(([, factor]) => factor) });
    model.rowLower.push(lower);
    model.rowUpper.push(upper);
  };

  for (const { sowingId, costG, most } of starts) {
    const stands = sowingId !== null;
    column(costG + (stands ? -WEIGHTS.change : WEIGHTS.change), stands ? 1 : most, true);
    if (stands) model.offset += WEIGHTS.change;
  }
  const layout = layOut(problem, column);
  suppliesHold(problem, layout, row);
  for (let day = 0; day < days; day += 1)
    row(
      appetiteG[day]!,
      [...crops.map((_, crop): Term => [layout.eaten(crop, day), 1]), [layout.missing(day), 1]],
      appetiteG[day]!
    );
  sharesHold(problem, layout, row);
  resourcesHold(problem, row);
  worksHold(problem, layout, row);
  return model;
}

/** Nothing is spent that has not opened, and all that is past has been spent. */
function suppliesHold(problem: AheadProblem, layout: Layout, row: Row): void {
  const { days, crops, starts } = problem;
  const fixed = supplyWith({ ...problem, starts: [] }, []);
  const on = (sum: Float64Array, day: number): number => sum[day]! - (day > 0 ? sum[day - 1]! : 0);
  for (const crop of crops.keys()) {
    const begun: { opened: Term[]; gone: Term[] }[] = Array.from({ length: days }, () => ({
      opened: [],
      gone: []
    }));
    starts.forEach((start, at) => {
      if (start.crop !== crop) return;
      for (const of of ['opened', 'gone'] as const)
        for (let day = 0; day < days; day += 1) {
          const g = on(start[of], day);
          if (g !== 0) begun[day]![of].push([at, g]);
        }
    });
    for (let day = 0; day < days; day += 1) {
      const carried = (of: (crop: number, day: number) => number): Term[] => [
        [of(crop, day), 1],
        ...(day > 0 ? [[of(crop, day - 1), -1] as const] : [])
      ];
      const spent = (factor: number): Term[] => [
        [layout.eaten(crop, day), factor],
        [layout.thrown(crop, day), factor]
      ];
      const opens = on(fixed[crop]!.opened, day);
      const goes = on(fixed[crop]!.gone, day);
      row(
        opens,
        [...carried(layout.there), ...spent(1), ...begun[day]!.opened.map(([at, g]): Term => [at, -g])],
        opens
      );
      row(-goes, [...carried(layout.ahead), ...spent(-1), ...begun[day]!.gone], -goes);
    }
  }
}

function resourcesHold({ resources, starts }: AheadProblem, row: Row): void {
  resources.forEach(({ free }, resource) => {
    const users = starts.flatMap(({ uses }, at) =>
      uses.flatMap((use) => (use.resource === resource ? [{ ...use, at }] : []))
    );
    let before = '';
    for (let day = 0; day < free.length; day += 1) {
      const terms = users.flatMap(({ at, from, until, amount }): Term[] =>
        day >= from && day < until ? [[at, amount]] : []
      );
      // A day on which the same trays take as much of as much says nothing new.
      const same = JSON.stringify([terms, free[day]]);
      if (terms.length > 0 && same !== before) row(-Infinity, terms, Math.max(0, free[day]!));
      before = same;
    }
  });
}

/** What is begun on a day makes it a day of work: each start by itself, which is tighter than all together. */
function worksHold({ starts, worked }: AheadProblem, { works }: Layout, row: Row): void {
  starts.forEach(({ workDays, most, sowingId }, at) => {
    for (const day of workDays) {
      const on = works.get(day);
      if (!worked[day] && on !== undefined)
        row(
          -Infinity,
          [
            [at, 1],
            [on, -(sowingId === null ? most : 1)]
          ],
          0
        );
    }
  });
}

function layOut(
  { days, crops, starts, worked }: AheadProblem,
  column: (cost: number, upper?: number, whole?: boolean) => number
): Layout {
  const first = starts.length;
  const block = crops.length * days;
  for (const { liked } of crops) for (let day = 0; day < days; day += 1) column(-LIKED_G * liked);
  for (let n = 0; n < block; n += 1) column(WEIGHTS.thrown);
  for (let n = 0; n < 2 * block; n += 1) column(0);
  for (let day = 0; day < days; day += 1) column(WEIGHTS.missing);
  const workDays = [...new Set(starts.flatMap((start) => start.workDays))].filter((day) => !worked[day]);
  const works = new Map(workDays.map((day) => [day, column(WEIGHTS.workDay, 1, true)]));
  const weeks = Math.ceil(days / WEEK);
  const shares = first + 4 * block + days + works.size;
  for (let n = 0; n < 2 * crops.length * weeks; n += 1) column(WEIGHTS.share);
  const ofShare = (nth: number) => (crop: number, week: number) =>
    shares + (nth * crops.length + crop) * weeks + week;
  const of = (nth: number) => (crop: number, day: number) => first + nth * block + crop * days + day;
  return {
    eaten: of(0),
    thrown: of(1),
    there: of(2),
    ahead: of(3),
    missing: (day) => first + 4 * block + day,
    works,
    short: ofShare(0),
    beyond: ofShare(1)
  };
}

function sharesHold(problem: AheadProblem, { eaten, short, beyond }: Layout, row: Row): void {
  weeksOf(problem).forEach(({ from, until, wantedG }, week) =>
    problem.crops.forEach(({ leastShare, mostShare }, crop) => {
      const inWeek = Array.from({ length: until - from }, (_, n): Term => [eaten(crop, from + n), 1]);
      if (mostShare < 1) row(-Infinity, [...inWeek, [beyond(crop, week), -1]], mostShare * wantedG);
      if (leastShare > 0) row(leastShare * wantedG, [...inWeek, [short(crop, week), 1]], Infinity);
    })
  );
}

/** A plan as the columns of its model: what a solver may start from. */
export function columnsOf(problem: AheadProblem, { counts, outcome }: AheadPlan): Float64Array {
  const { days, crops, starts, worked } = problem;
  let columns = starts.length;
  const layout = layOut(problem, () => columns++);
  const model = new Float64Array(columns);
  counts.forEach((count, at) => (model[at] = count));
  const supply = supplyWith(problem, counts);
  for (const crop of crops.keys()) {
    const { opened, gone } = supply[crop]!;
    let spent = 0;
    for (let day = 0; day < days; day += 1) {
      const eaten = outcome.days[day]!.byCrop[crop]!;
      const thrown = Math.max(0, gone[day]! - spent - eaten);
      spent += eaten + thrown;
      model[layout.eaten(crop, day)] = eaten;
      model[layout.thrown(crop, day)] = thrown;
      model[layout.there(crop, day)] = Math.max(0, opened[day]! - spent);
      model[layout.ahead(crop, day)] = Math.max(0, spent - gone[day]!);
    }
  }
  outcome.days.forEach(({ missingG }, day) => (model[layout.missing(day)] = missingG));
  weeksOf(problem).forEach(({ from, until, wantedG }, week) =>
    crops.forEach(({ leastShare, mostShare }, crop) => {
      const eaten = outcome.days.slice(from, until).reduce((sum, { byCrop }) => sum + byCrop[crop]!, 0);
      model[layout.short(crop, week)] = Math.max(0, leastShare * wantedG - eaten);
      model[layout.beyond(crop, week)] = Math.max(0, eaten - mostShare * wantedG);
    })
  );
  starts.forEach(({ workDays }, at) => {
    if (counts[at]! > 0)
      for (const day of workDays) {
        const works = layout.works.get(day);
        if (!worked[day] && works !== undefined) model[works] = 1;
      }
  });
  return model;
}

/**
 * The plan that a solution of its model is. Of the solution only what is begun is taken: what comes of that is worked out as it
 * is everywhere else, so that what is promised for a plan is what is shown once it is taken.
 */
export function planOf(problem: AheadProblem, columns: ArrayLike<number>): AheadPlan {
  const counts = problem.starts.map((_, at) => Math.round(columns[at]!));
  return { counts, outcome: eat(problem, counts) };
}
