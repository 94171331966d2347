import { eat } from './eat.ts';
import { plansFor } from './plans.ts';
import type { AheadProblem, Counts } from './problem.ts';

/** What a plan costs over the best that would be proposed without wishes for variety: less than nothing where it happens to be better. */
export interface VarietyPrice {
  missingG: number;
  thrownG: number;
  /** Containers begun. */
  sowings: number;
}

/** What its wishes for variety cost a plan, against one that is planned without them. */
export function varietyPrice(
  problem: AheadProblem,
  counts: Counts,
  how: { tries?: number } = {}
): VarietyPrice {
  const { variety: _wish, ...free } = problem;
  let other: Counts = counts;
  for (const plan of plansFor(free, how)) other = plan.counts;
  const [wished, without] = [eat(problem, counts), eat(free, other)];
  const begun = (of: Counts): number => of.reduce((sum, count) => sum + count, 0);
  return {
    missingG: wished.missingG - without.missingG,
    thrownG: wished.thrownG - without.thrownG,
    sowings: begun(counts) - begun(other)
  };
}
