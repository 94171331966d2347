import { buildProblem } from '$core/ahead/build.ts';
import { greedy, type AheadPlan } from '$core/ahead/greedy.ts';
import { reworked } from '$core/ahead/reworked.ts';
import { leavesShare, proposalOf, type Proposal } from '$core/ahead/proposal.ts';
import { aheadOf, type AheadData } from '$core/ahead/household.ts';
import { mendingsOf, type Mending } from '$core/ahead/offers.ts';
import { wishesOf, type Wish } from '$core/ahead/mends.ts';
import { better, columnsOf, modelOf, planOf } from '$core/ahead/model.ts';
import { shortDays } from '$core/ahead/paces.ts';
import type { Highs } from 'highs';
import { solveModel, type Progress } from './solver.ts';

/** What the planner tells on its way; mendings with the number of their question, for an older one is of what no longer stands. */
export type Told =
  | { kind: 'proposal'; proposal: Proposal }
  | { kind: 'mendings'; question: number; mendings: Mending[] }
  | { kind: 'progress'; progress: Progress }
  /** Nothing better is looked for any more, and why. */
  | {
      kind: 'done';
      why: 'best' | 'time' | 'no-solver';
      progress: Progress | null;
      short: { day: number; share: number }[];
      wishes: Wish[];
    };

/** The best within so many seconds, ten with what goes before, or so near to the bound that nobody would notice. */
const SECONDS = 8;
const GAP = 0.005;
/** The best leaves next to nothing of what could be mended: whoever eats has no more foresight than a solver (starting figure). */
const BEST_LEAVES = 0.02;

/** What it is asked: what mends what stands, or a plan. */
export interface Asked {
  what: 'mend' | 'propose';
  /** Its number: told back with the answer. */
  question: number;
  data: AheadData;
}

/**
 * Answers what it was asked: a plan by rule at once, then a better one, then the best that the solver finds in its time.
 * @param loadHighs the solver, fetched once the first plan is told
 */
export async function answer(
  { what, question, data }: Asked,
  loadHighs: () => Promise<Highs>,
  tell: (told: Told) => void
): Promise<void> {
  const { input, moved } = aheadOf(data);
  const built = buildProblem(input);
  const { problem } = built;
  if (what === 'mend') {
    tell({ kind: 'mendings', question, mendings: mendingsOf(built, input, moved) });
    return;
  }
  const propose = (plan: AheadPlan): Proposal => {
    const proposal = proposalOf(built, plan, input);
    tell({ kind: 'proposal', proposal });
    return proposal;
  };
  const atOnce = better(problem, [greedy(problem, { improved: false })]);
  let proposed = propose(atOnce);
  const byRule = greedy(problem);
  let best = better(problem, [atOnce, byRule, reworked(problem, byRule)]);
  if (best !== atOnce) proposed = propose(best);
  let why: Extract<Told, { kind: 'done' }>['why'] = 'no-solver';
  let progress: Progress | null = null;
  try {
    const solved = solveModel(await loadHighs(), modelOf(problem), {
      seconds: SECONDS,
      gap: GAP,
      from: columnsOf(problem, best),
      onprogress: (how) => tell({ kind: 'progress', progress: how })
    });
    const plan = planOf(problem, solved.columns);
    const found = better(problem, [best, plan, reworked(problem, plan, { stretches: 0 })]);
    if (found.outcome.costG < best.outcome.costG) {
      best = found;
      proposed = propose(best);
    }
    const isBest = solved.proved && leavesShare(proposed, solved.progress.boundG) <= BEST_LEAVES;
    why = isBest ? 'best' : 'time';
    ({ progress } = solved);
  } catch {
    // Without memory or WebAssembly the plan by rule stands, and that is said.
  }
  tell({
    kind: 'done',
    why,
    progress,
    short: shortDays(problem, best.counts),
    wishes: wishesOf(problem, best.counts)
  });
}
