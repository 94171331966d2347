import { better, greedy, planAtOnce, type AheadPlan } from './greedy.ts';
import { steadiest } from './paces.ts';
import type { AheadProblem } from './problem.ts';
import { reworked } from './reworked.ts';

/** Starts that are tried before a first reworked plan is there. */
const SOON_TRIES = 5000;

/**
 * Plans for the weeks ahead, each steadier than the one before: at once, soon, and after as much work as pays. None costs more than
 * what stands.
 * @param tries of the last, how many starts are tried at most
 */
export function* plansFor(
  problem: AheadProblem,
  { tries }: { tries?: number } = {}
): Generator<AheadPlan, AheadPlan, void> {
  const found = [better(problem, [planAtOnce(problem)])];
  let best = found[0]!;
  yield best;
  const more = [
    () => greedy(problem),
    () => reworked(problem, best, { tries: Math.min(SOON_TRIES, tries ?? SOON_TRIES) }),
    () => reworked(problem, found.at(-1)!, { tries })
  ];
  for (const next of more) {
    found.push(better(problem, [next()]));
    const steady = steadiest(problem, found);
    if (steady === best) continue;
    best = steady;
    yield best;
  }
  return best;
}
