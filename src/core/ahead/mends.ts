import { eat, isShort, type DayAhead } from './eat.ts';
import type { AheadProblem } from './problem.ts';
import { reworked } from './reworked.ts';

/** Days in a row, first and last included, on which greens are missing or thrown. */
export interface DayStretch {
  from: number;
  until: number;
  g: number;
}

/** Less than this thrown in a row is no glut, g (starting figure). */
const GLUT_G = 10;
/** Two stretches so near are one. */
const NEAR_D = 2;

function stretches(days: readonly number[], counts: (g: number, day: number) => boolean): DayStretch[] {
  const found: DayStretch[] = [];
  days.forEach((g, day) => {
    if (!counts(g, day)) return;
    const last = found.at(-1);
    if (last && day - last.until <= NEAR_D) Object.assign(last, { until: day, g: last.g + g });
    else found.push({ from: day, until: day, g });
  });
  return found;
}

/** The stretches in which there is too little. */
export const gapsOf = (days: readonly DayAhead[]): DayStretch[] =>
  stretches(
    days.map(({ missingG }) => missingG),
    (_g, day) => isShort(days[day]!)
  );

/** The stretches in which greens would be thrown. */
export const glutsOf = (days: readonly DayAhead[]): DayStretch[] =>
  stretches(
    days.map(({ thrownG }) => thrownG),
    (g) => g > 0
  ).filter(({ g }) => g > GLUT_G);

/** What more there would have to be for a plan to leave less missing, g less. */
export type Wish =
  | { kind: 'container' | 'board' | 'load' | 'seed'; name: string; g: number }
  /** So much less eaten on each day of a weekday, 0 for the horizon's first. */
  | { kind: 'eat-less'; weekday: number; byG: number };

const DAYS_OF_WEEK = 7;
/** Less than this over the horizon is not worth buying a tray for, g (starting figure). */
const WORTH_G = 40;
const MOST_WISHES = 3;
/** Starts that are tried to see what one more of something would do. */
const WISH_TRIES = 2000;

/**
 * What would mend most of what a plan leaves missing: one container more, more room in light, more seed; or a weekday that
 * takes a little less.
 */
export function wishesOf(problem: AheadProblem, counts: number[]): Wish[] {
  const { days, missingG } = eat(problem, counts);
  // What nothing begun today could feed is missing whatever there is.
  const soonest = soonestDay(problem);
  if (gapsOf(days).every(({ until }) => until < soonest)) return [];
  const wishes = problem.resources.flatMap(({ kind, name, free }, resource): Wish[] => {
    const widest = Math.max(0, ...problem.starts.flatMap(({ uses }) => usesOf(uses, resource)));
    if (widest === 0) return [];
    const more = { ...problem.resources[resource]!, free: free.map((amount) => amount + widest) };
    const tried = reworked(
      { ...problem, resources: problem.resources.with(resource, more) },
      { counts },
      { tries: WISH_TRIES }
    );
    const g = missingG - tried.outcome.missingG;
    return g > WORTH_G ? [{ kind, name, g }] : [];
  });
  const found = wishes.sort((a, b) => gOf(b) - gOf(a)).slice(0, MOST_WISHES - 1);
  const byWeekday = Array.from({ length: DAYS_OF_WEEK }, (_, weekday) =>
    days.reduce(
      (most, day, at) => (at >= soonest && at % 7 === weekday ? Math.max(most, day.missingG) : most),
      0
    )
  );
  const worst = byWeekday.indexOf(Math.max(...byWeekday));
  if (byWeekday[worst]! > 0) found.push({ kind: 'eat-less', weekday: worst, byG: byWeekday[worst]! });
  return found;
}

const gOf = (wish: Wish): number => ('g' in wish ? wish.g : 0);

const usesOf = (uses: AheadProblem['starts'][number]['uses'], resource: number): number[] =>
  uses.filter((use) => use.resource === resource).map(({ amount }) => amount);

/** The first day that anything which may be begun feeds; the horizon's length where nothing does. */
function soonestDay({ starts, days }: Pick<AheadProblem, 'starts' | 'days'>): number {
  let first = days;
  for (const { opened, yieldG, sowingId } of starts) {
    if (sowingId !== null) continue;
    const day = opened.findIndex((g) => g > yieldG / 2);
    if (day >= 0 && day < first) first = day;
  }
  return first;
}
