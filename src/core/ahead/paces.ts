import { phi, phiInverse } from '../stats/normal.ts';
import { eat, isShort } from './eat.ts';
import type { AheadPlan } from './greedy.ts';
import type { AheadProblem, Counts, Start } from './problem.ts';

/** So many paces a plan is judged on, and a day short in more than this share of them is said (docs/model.md, 13). */
const DRAWS = 20;
const TOO_OFTEN = 0.2;
/** How much of how one tray runs is its household's own, as a correlation (starting figure). */
const TOGETHER = 0.6;

/** Days that a plan would leave short in more than a fifth of drawn paces, with how often. */
export function shortDays(problem: AheadProblem, counts: Counts): { day: number; share: number }[] {
  const often = new Float64Array(problem.days);
  const begun = problem.starts.filter((_, index) => counts[index]! > 0);
  const of = counts.filter((count) => count > 0);
  for (let draw = 0; draw < DRAWS; draw += 1) {
    const drawn = drawPace({ ...problem, starts: begun }, householdPace(draw), draw);
    eat(drawn, of).days.forEach((one, day) => {
      if (isShort(one)) often[day]! += 1 / DRAWS;
    });
  }
  return [...often].flatMap((share, day) => (share > TOO_OFTEN ? [{ day, share }] : []));
}

/** Of some plans the one that costs least on average over the drawn paces, and not only where every tray runs as expected. */
export function steadiest(problem: AheadProblem, plans: readonly AheadPlan[]): AheadPlan {
  const costs = plans.map(({ counts }) => meanCostG(problem, counts));
  return plans[costs.indexOf(Math.min(...costs))]!;
}

function meanCostG(problem: AheadProblem, counts: Counts): number {
  // What is not begun costs nothing, unless it is planned already.
  const chosen = problem.starts.flatMap(({ sowingId }, index) =>
    counts[index]! > 0 || sowingId !== null ? [index] : []
  );
  const starts = chosen.map((index) => problem.starts[index]!);
  const of = chosen.map((index) => counts[index]!);
  let sumG = 0;
  for (let draw = 0; draw < DRAWS; draw += 1)
    sumG += eat(drawPace({ ...problem, starts }, householdPace(draw), draw), of).costG;
  return sumG / DRAWS;
}

/** How fast a household's trays run in a draw, as a standard normal deviate. */
const householdPace = (draw: number): number => phiInverse((draw + 0.5) / DRAWS);

/** The same with every tray opening on one day: that of its own quantile, and not spread over all it might be. */
function drawPace(problem: AheadProblem, household: number, draw: number): AheadProblem {
  const quantile = (index: number): number =>
    phi(
      TOGETHER * household + Math.sqrt(1 - TOGETHER ** 2) * phiInverse(spreadOut(index * 31 + draw * 7 + 1))
    );
  const drawn = <T extends Pick<Start, 'opened' | 'gone'>>(one: T, index: number, wholeG: number): T => {
    const u = quantile(index) * wholeG;
    const step = (of: Float64Array) => of.map((g) => (g >= u && g > 0 ? wholeG : 0));
    return { ...one, opened: step(one.opened), gone: step(one.gone) };
  };
  return {
    ...problem,
    // What is in the pantry is there whatever the pace.
    standing: problem.standing.map((one, index) => drawn(one, index, one.yieldG)),
    starts: problem.starts.map((start, index) => drawn(start, problem.standing.length + index, start.yieldG))
  };
}

/** Numbers over 0 to 1 that lie apart, always the same: multiples of the golden ratio. */
const spreadOut = (n: number): number => {
  const at = (n * 0.6180339887498949) % 1;
  return Math.min(0.98, Math.max(0.02, at));
};
