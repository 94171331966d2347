import { eat } from './eat.ts';
import type { AheadPlan } from './greedy.ts';
import type { AheadProblem } from './problem.ts';
import { Search } from './search.ts';

/** So many stretches are begun anew: with more, next to nothing was won. */
const STRETCHES = 20;
/** A stretch has so many days. */
const [LEAST_D, MOST_D] = [3, 14];
/** What is begun anew is not offered this share of all starts, so that it comes out otherwise. */
const WITHHELD = 0.3;
/** Rounds of looking, first of all, whether another day, container or crop does better. */
const ROUNDS = 3;
/** Days around a stretch in which what was begun is tried on other days too. */
const AROUND_D = 2;

/**
 * A plan made better by parts: a stretch of it is left out and begun anew without some of what might be begun, and kept where
 * that costs less. Always the same for the same problem. Large neighbourhood search, as in Shaw (1998), Using constraint
 * programming and local search methods to solve vehicle routing problems, CP-98, 417-431.
 */
export function reworked(
  problem: AheadProblem,
  { counts }: AheadPlan,
  { stretches = STRETCHES }: { stretches?: number } = {}
): AheadPlan {
  const search = new Search(problem, 'wide');
  search.restore(counts);
  search.leaveOut();
  search.grow();
  for (let round = 0; round < ROUNDS && search.improve(); round += 1);
  search.grow();
  let best = { counts: search.counts.slice(), costG: search.costG };
  for (let nth = 1; nth <= stretches; nth += 1) {
    const from = Math.floor(scattered(nth, 0) * problem.days);
    const until = from + LEAST_D + Math.floor(scattered(nth, 1) * (MOST_D - LEAST_D + 1));
    if (!search.clear({ from, until })) continue;
    search.fill((index) => scattered(index, nth) >= WITHHELD);
    search.improve({ from: from - AROUND_D, until: until + AROUND_D });
    const { costG } = search;
    if (costG < best.costG - 1e-6) best = { counts: search.counts.slice(), costG };
    else search.restore(best.counts);
  }
  search.grow();
  if (search.costG < best.costG) best = { counts: search.counts.slice(), costG: search.costG };
  return { counts: best.counts, outcome: eat(problem, best.counts) };
}

/** Numbers over 0 to 1 without an order that matters here, always the same (the fraction of a large sine). */
function scattered(n: number, of: number): number {
  const at = Math.sin(n * 12.9898 + of * 78.233) * 43_758.5453;
  return at - Math.floor(at);
}
