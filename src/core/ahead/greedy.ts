import { eat, type PlanOutcome } from './eat.ts';
import { standsNow, type AheadProblem } from './problem.ts';
import { Search } from './search.ts';

/** What is to be begun, and what is expected to come of it. */
export interface AheadPlan {
  counts: number[];
  outcome: PlanOutcome;
}

/** Rounds of looking whether another day does better. */
const ROUNDS = 2;

/** A plan at once: the first day that lacks greens gets the start that mends most of all that is weighed, until none mends anything. */
export function planAtOnce(problem: AheadProblem): AheadPlan {
  const search = new Search(problem);
  search.fill();
  return { counts: search.counts, outcome: eat(problem, search.counts) };
}

/**
 * A good plan soon: the better of one that is filled day by day and one that is grown by what mends most for what it keeps from
 * others; each start is then tried on other days too, and what is planned is left out where it is not needed.
 */
export function greedy(problem: AheadProblem): AheadPlan {
  const [filled, grown] = [new Search(problem), new Search(problem)];
  filled.fill();
  grown.grow('a-share');
  const search = filled.costG < grown.costG ? filled : grown;
  search.leaveOut();
  for (let round = 0; round < ROUNDS && search.improve(); round += 1);
  return { counts: search.counts, outcome: eat(problem, search.counts) };
}

/** The best of some plans; what stands where nothing is better than that. */
export function better(problem: AheadProblem, plans: readonly AheadPlan[]): AheadPlan {
  const stands = standsNow(problem);
  const asIs = { counts: stands, outcome: eat(problem, stands) };
  return [asIs, ...plans].reduce((best, plan) =>
    plan.outcome.costG < best.outcome.costG - 1e-6 ? plan : best
  );
}
