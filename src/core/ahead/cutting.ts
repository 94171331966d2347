import type { PlanContext, PlannedSowing } from '../sowing/planSowing.ts';
import { beginsAt } from '../sowing/soak.ts';
import type { Millis, Zone } from '../time/zone.ts';
import { dayIndex, type Horizon } from './horizon.ts';

/** What is wanted of a sowing on the day that it is cut: open in eight of ten, at its best, or so many days old at least. */
export type CutAim = { kind: 'ready' } | { kind: 'best' } | { kind: 'age'; days: number };

export const READY: CutAim = { kind: 'ready' };
/** Bounds of an age at the cut, days from sowing. */
export const AGE_BOUNDS = [3, 90] as const;

/** A sowing begun on a day of the horizon, or as late as it is still ready by a moment. */
export type PlanFor = (aim: { kind: 'from' | 'by'; at: Millis }) => PlannedSowing;

/** Give up after so many earlier days: by then the wish cannot be met by beginning sooner. */
const MOST_STEPS = 40;

/** Whether a planned sowing meets the aim at the moment of the cut. */
function meets({ plan, setup }: PlannedSowing, aim: CutAim, cutAt: Millis, zone: Zone): boolean {
  switch (aim.kind) {
    case 'ready':
      return true;
    case 'best':
      return plan.forecast.marks.windowBest.p50 <= cutAt;
    case 'age':
      return zone.daysBetween(setup.sowAt, cutAt) >= aim.days;
  }
}

/**
 * The latest sowing that is ready by a day's supper and meets the aim by then.
 * @returns null if it would have to begin before today
 */
export function plannedToCut(
  planFor: PlanFor,
  aim: CutAim,
  { cutAt, horizon, context }: { cutAt: Millis; horizon: Horizon; context: PlanContext }
): PlannedSowing | null {
  const ready = planFor({ kind: 'by', at: cutAt });
  // Too near: the sowing for this day was due before the order existed.
  if (ready.plan.earliestAt !== null) return null;
  if (meets(ready, aim, cutAt, context.rhythm.zone)) return ready;
  let day = dayIndex(horizon, context.rhythm, beginsAt(ready.plan.soak));
  for (let step = 0; step < MOST_STEPS; step += 1) {
    day -= 1;
    if (day < 0) return null;
    const sooner = planFor({ kind: 'from', at: horizon.workFrom[day]! });
    if (meets(sooner, aim, cutAt, context.rhythm.zone)) return sooner;
  }
  return null;
}
