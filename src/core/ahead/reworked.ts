import { eat } from './eat.ts';
import type { AheadPlan } from './greedy.ts';
import type { AheadProblem } from './problem.ts';
import { Search, WORTHS } from './search.ts';

/** Starts that are tried in all: the same on every device, so that a slow one finds the same plan and only takes longer. */
const TRIES = 30_000;
/** After so many stretches without a better plan next to nothing is found any more. */
const IN_VAIN = 400;
/** A stretch has so many days. */
const [LEAST_D, MOST_D] = [3, 21];
/** What is begun anew is not offered a share of all starts between these, so that it comes out otherwise. */
const [LEAST_WITHHELD, MOST_WITHHELD] = [0.1, 0.7];
/** It is gone on from what costs up to this share more, for it may lead over a hill; and back to the best after so many in vain. */
const SLACK = 0.06;
const BACK_AFTER = 30;
/** Days around a stretch in which what was begun is tried on other days too. */
const AROUND_D = 2;

/**
 * A plan made better by parts: a stretch of it is left out and begun anew without some of what might be begun; the best that
 * comes of it is kept. Always the same for the same problem. Large neighbourhood search, as in Shaw (1998), Using constraint
 * programming and local search methods to solve vehicle routing problems, CP-98, 417-431.
 * @param tries how many starts are tried at most
 */
export function reworked(
  problem: AheadProblem,
  { counts }: Pick<AheadPlan, 'counts'>,
  { tries = TRIES }: { tries?: number } = {}
): AheadPlan {
  const search = new Search(problem);
  search.restore(counts);
  search.leaveOut();
  search.grow();
  let best = { counts: search.counts.slice(), costG: search.costG };
  let current = best.counts;
  const slackG = SLACK * Math.abs(best.costG);
  for (let nth = 1, vain = 0; search.tries < tries && vain < IN_VAIN; nth += 1) {
    vain += 1;
    if (vain % BACK_AFTER === 0) search.restore((current = best.counts));
    const stretch = stretchOf(nth, problem.days);
    if (!search.clear(stretch)) continue;
    beginAnew(search, problem, stretch, nth);
    const { costG } = search;
    if (costG < best.costG - 1e-6) {
      best = { counts: search.counts.slice(), costG };
      vain = 0;
    }
    if (costG < best.costG + slackG) current = search.counts.slice();
    else search.restore(current);
  }
  search.restore(best.counts);
  search.grow();
  return { counts: search.counts, outcome: eat(problem, search.counts) };
}

/** Begins a stretch anew: day by day as greens are lacking, or by what mends most of all of it. Neither is best everywhere. */
function beginAnew(
  search: Search,
  problem: AheadProblem,
  { from, until }: { from: number; until: number },
  nth: number
): void {
  const around = { from: from - AROUND_D, until: until + AROUND_D };
  const isNear = (index: number): boolean => {
    const { day } = problem.starts[index]!;
    return day >= around.from && day < around.until;
  };
  const passes = passing(problem, nth);
  const by = WORTHS[Math.floor(nth / 2) % WORTHS.length]!;
  if (scattered(nth, 5) < 0.5) {
    search.grow(by, (index) => isNear(index) && passes(index));
    search.grow('in-all', isNear);
  } else {
    search.fill(passes, by);
    search.improve(around);
  }
}

/** The days of a stretch, of which some may lie before the first or after the last. */
function stretchOf(nth: number, days: number): { from: number; until: number } {
  const long = LEAST_D + Math.floor(scattered(nth, 1) * (MOST_D - LEAST_D + 1));
  const from = Math.floor(scattered(nth, 0) * (days + long)) - long;
  return { from, until: from + long };
}

/** What may be begun in a stretch: not all of it, and every other time without one crop, so that another has its turn. */
function passing({ crops, starts }: AheadProblem, nth: number): (index: number) => boolean {
  const withheld = LEAST_WITHHELD + (MOST_WITHHELD - LEAST_WITHHELD) * scattered(nth, 3);
  const without = nth % 2 === 0 ? Math.floor(scattered(nth, 2) * crops.length) : -1;
  return (index) => scattered(index, nth) >= withheld && starts[index]!.crop !== without;
}

/** Numbers over 0 to 1 without an order that matters here, always the same (the fraction of a large sine). */
function scattered(n: number, of: number): number {
  const at = Math.sin(n * 12.9898 + of * 78.233) * 43_758.5453;
  return at - Math.floor(at);
}
