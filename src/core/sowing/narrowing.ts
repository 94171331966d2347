import type { SowingEvent } from './event.ts';
import { project, type HouseholdFacts } from './project.ts';
import type { SowingSetup } from './sowing.ts';
import type { Millis } from '../time/zone.ts';
import type { MarkForecast } from '../growth/forecastMark.ts';

/** What was expected of the opening at a moment, and what had just said so. */
export interface Narrowing {
  at: Millis;
  open: MarkForecast;
  event: SowingEvent;
}

const MOVES_IT = new Set(['sown', 'uncovered', 'lit', 'looked', 'moved', 'saw']);

/**
 * How the range of the opening narrowed, look by look: the forecast as it stood after each event that moved
 * it. What was taken back is left out, as though it had never been.
 */
export function narrowing(
  household: HouseholdFacts,
  setup: SowingSetup,
  events: readonly SowingEvent[]
): Narrowing[] {
  const undone = new Set(events.flatMap(({ body }) => (body.type === 'undone' ? [body.eventId] : [])));
  const told = events
    .filter(({ id, body }) => body.type !== 'undone' && !undone.has(id))
    .sort((a, b) => a.at - b.at);
  const steps: Narrowing[] = [];
  for (const [index, event] of told.entries()) {
    if (!MOVES_IT.has(event.body.type)) continue;
    const { state, forecast } = project(household, setup, told.slice(0, index + 1));
    if (state.sownAt === null) continue;
    const before = steps.at(-1)?.open;
    const open = forecast.marks.windowOpen;
    if (!before || before.p50 !== open.p50 || before.p10 !== open.p10)
      steps.push({ at: event.at, open, event });
  }
  return steps;
}
