import { buildProblem } from '$core/ahead/build.ts';
import { plansFor } from '$core/ahead/plans.ts';
import { proposalOf, type Proposal } from '$core/ahead/proposal.ts';
import { aheadOf, type AheadData } from '$core/ahead/household.ts';
import { mendingsOf, type Mending } from '$core/ahead/offers.ts';
import { wishesOf, type Wish } from '$core/ahead/mends.ts';
import { shortDays } from '$core/ahead/paces.ts';
import { varietyPrice, type VarietyPrice } from '$core/ahead/varietyPrice.ts';

/** What the planner tells on its way; mendings with the number of their question, for an older one is of what no longer stands. */
export type PlannerMessage =
  | { kind: 'proposal'; proposal: Proposal }
  | { kind: 'mendings'; question: number; mendings: Mending[] }
  /** Nothing better is looked for any more. */
  | { kind: 'done'; short: { day: number; share: number }[]; wishes: Wish[]; prices: boolean }
  /** What the wishes for variety cost it, worked out last: where `prices` said that it would be. */
  | { kind: 'price'; question: number; price: VarietyPrice };

/** What it is asked: what mends what stands, or a plan. */
export interface Asked {
  what: 'mend' | 'propose';
  /** Its number: told back with the answer. */
  question: number;
  data: AheadData;
}

/** Answers what it was asked: a plan at once, then better ones, until next to nothing is found any more. */
export function answer({ what, question, data }: Asked, tell: (told: PlannerMessage) => void): void {
  const { input, moved } = aheadOf(data);
  const built = buildProblem(input);
  const { problem } = built;
  if (what === 'mend') {
    tell({ kind: 'mendings', question, mendings: mendingsOf(built, input, moved) });
    return;
  }
  let counts: number[] = [];
  for (const plan of plansFor(problem)) {
    ({ counts } = plan);
    tell({ kind: 'proposal', proposal: proposalOf(built, plan, input) });
  }
  const prices = problem.variety !== undefined;
  tell({ kind: 'done', short: shortDays(problem, counts), wishes: wishesOf(problem, counts), prices });
  if (prices) tell({ kind: 'price', question, price: varietyPrice(problem, counts) });
}
