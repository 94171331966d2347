import type { Cue } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { wholeYieldG } from '../harvest/expected.ts';
import { cutG } from '../sowing/totals.ts';
import type { Millis } from '../time/zone.ts';

/** What a sowing passes, in order. */
export type Milestone = 'sown' | 'rooted' | 'lit' | 'opened' | 'cut';

/** When something was to be, and when it was; null where it never comes, or nobody saw it. */
export interface PlanAndFact {
  milestone: Milestone;
  planned: Millis | null;
  was: Millis | null;
  /** Somebody saw it, or did it. */
  seen: boolean;
}

const finite = (at: Millis): Millis | null => (Number.isFinite(at) ? at : null);

/**
 * What was expected of a sowing on the day it was sown beside what came of it.
 * @param expected as it was followed then: without looks, moves or early steps
 */
export function milestonesOf(expected: Projected, sowing: Projected): PlanAndFact[] {
  const { state, forecast, firstGrowth } = sowing;
  const planned = expected.forecast.marks;
  const marks = (firstGrowth ?? forecast).marks;
  const was = (milestone: Milestone, plan: Millis, fact: Millis | null): PlanAndFact => ({
    milestone,
    planned: finite(plan),
    was: fact,
    seen: fact !== null
  });
  const seenAt = (cue: Cue): Millis | null =>
    (state.first ?? state).seen.find(({ mark }) => mark === cue)?.reachedAt ?? null;
  const rooted = state.uncoveredAt ?? (marks.rooted.seen ? seenAt('rooted') : null);
  const all = [
    was('sown', expected.setup.sowAt, state.sownAt),
    was('rooted', planned.rooted.p50, rooted),
    was('lit', expected.forecast.litAt, state.litAt),
    was('opened', planned.windowOpen.p50, marks.windowOpen.seen ? seenAt('windowOpen') : null),
    was('cut', planned.windowBest.p50, state.cuts[0]?.at ?? null)
  ];
  // What was kept dark, or stood in light from the beginning, never came to light.
  return all.filter(
    ({ milestone, planned: plan, was: fact }) => milestone === 'sown' || plan !== null || fact !== null
  );
}

/** What a sowing gave beside what was expected of it, g. */
export const gramsOf = (expected: Projected, sowing: Projected): { planned: number; was: number } => ({
  planned: wholeYieldG(expected).usual,
  was: cutG(sowing.state)
});
