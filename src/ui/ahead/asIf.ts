import { dayIndex, type Horizon } from '$core/ahead/horizon.ts';
import type { SowingEvent } from '$core/sowing/event.ts';
import { project, type HouseholdFacts, type Projected } from '$core/sowing/project.ts';
import { beginsAt } from '$core/sowing/soak.ts';
import type { Millis } from '$core/time/zone.ts';

/** A moment of the day on which a planned sowing would be begun so many days later, within the horizon. */
export function putOffUntil(
  soakBeginsAt: Millis,
  byDays: number,
  horizon: Horizon,
  { rhythm }: HouseholdFacts
): Millis {
  const day = dayIndex(horizon, rhythm, soakBeginsAt) + byDays;
  return horizon.workFrom[Math.max(0, Math.min(day, horizon.days - 1))]!;
}

/** A planned sowing as though it were begun so many days later, or at another place, or both. */
export function asIfMoved(
  one: Projected,
  events: readonly SowingEvent[],
  { days, placeId }: { days: number; placeId: string | null },
  { facts, horizon, now }: { facts: HouseholdFacts; horizon: Horizon; now: Millis }
): Projected {
  const event = (body: SowingEvent['body']): SowingEvent => ({
    id: `as-if ${body.type}`,
    at: now,
    by: null,
    taskKey: null,
    body
  });
  return project(facts, one.setup, [
    ...events,
    ...(days === 0
      ? []
      : [event({ type: 'put-off', until: putOffUntil(beginsAt(one.soak), days, horizon, facts) })]),
    ...(placeId === null ? [] : [event({ type: 'moved', placeId })])
  ]);
}
