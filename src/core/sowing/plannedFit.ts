import { mixFit, type MixFit } from '../growth/fit.ts';
import { DAY } from '../time/zone.ts';
import { planSowing, type PlanContext, type SowingChoice } from './planSowing.ts';

/**
 * Whether the crops of a choice suit one container, by the forecasts that the plan shows for the chosen place, if sown together.
 * Null where one of them has no window there.
 * @param choice of two crops or more
 */
export function plannedFit(choice: SowingChoice, context: PlanContext): MixFit | null {
  const now = { ...choice, staggered: false, aim: { kind: 'now' } } as const;
  const planned =
    choice.kind === 'halves'
      ? planSowing(now, context)
      : choice.parts.flatMap((part) =>
          planSowing({ ...now, kind: 'one', parts: [{ ...part, share: 1 }], ownSeedG: null }, context)
        );
  const parts = planned.map(({ plan, projected }) => {
    const { windowOpen, windowBest, windowClose } = plan.forecast.marks;
    const days = (at: number) => (at - plan.soak.sowAt) / DAY;
    return {
      // As it is cut: at a later leaf it stands higher.
      crop: projected.crop,
      window: { openD: days(windowOpen.p50), bestD: days(windowBest.p50), closeD: days(windowClose.p50) },
      hasWindow: plan.hindered === null && Number.isFinite(windowClose.p50)
    };
  });
  return parts.every(({ hasWindow }) => hasWindow) ? mixFit(parts, choice.method.taking) : null;
}
