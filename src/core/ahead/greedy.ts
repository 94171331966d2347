import { eat, type Outcome } from './eat.ts';
import type { AheadProblem } from './problem.ts';
import { Search } from './search.ts';

/** What is to be begun, and what is expected to come of it. */
export interface AheadPlan {
  counts: number[];
  outcome: Outcome;
}

/** Rounds of looking whether another day, container or crop does better. */
const ROUNDS = 2;

/**
 * A good plan at once: the first day that lacks greens gets the start that mends most of all that is weighed, until no
 * start mends anything.
 * @param improved each start is then tried on other days too, and left out where it was not needed
 */
export function greedy(problem: AheadProblem, { improved = true }: { improved?: boolean } = {}): AheadPlan {
  const search = new Search(problem, 'narrow');
  search.fill();
  if (improved) search.leaveOut();
  for (let round = 0; improved && round < ROUNDS && search.improve(); round += 1);
  return { counts: search.counts, outcome: eat(problem, search.counts) };
}
