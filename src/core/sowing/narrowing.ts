import { EVENT_TRAITS, type SowingEvent } from './event.ts';
import { learnedBelief, learnedTelling } from '../growth/learned.ts';
import { forecastFrom, followed, type HouseholdFacts } from './project.ts';
import { newState, applyEvent } from './reduce.ts';
import { sowingOf, type SowingSetup } from './sowing.ts';
import { MINUTE, type Millis } from '../time/zone.ts';
import type { MarkForecast } from '../growth/forecastMark.ts';

/** What was expected of the opening at a moment, and what had just said so. */
export interface Narrowing {
  at: Millis;
  open: MarkForecast;
  event: SowingEvent;
}

/** More lines than this nobody reads: of more, these are drawn, evenly among them, the first and the last. */
const MOST_LINES = 24;
/** What moves it less than this is not worth a line. */
const WORTH_MS = 15 * MINUTE;

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
  const drawn = evenly(told.filter(({ body }) => EVENT_TRAITS[body.type].movesOpening));
  const steps: Narrowing[] = [];
  const sowing = sowingOf(setup, household.ownCrops);
  const belief = learnedBelief(household.learned, sowing.crop, setup.id);
  const telling = household.learned && learnedTelling(household.learned, setup.id);
  // One state is carried through the looks: to begin anew at each would cost their square.
  const state = newState();
  for (const event of told) {
    applyEvent(state, event);
    const { sownAt } = state;
    if (!drawn.has(event) || sownAt === null) continue;
    const from = followed(household, sowing, state, sownAt, belief, telling);
    const forecast = forecastFrom(household, sowing, from);
    const before = steps.at(-1)?.open;
    const open = forecast.marks.windowOpen;
    const moved = before
      ? Math.max(Math.abs(before.p50 - open.p50), Math.abs(before.p10 - open.p10))
      : Infinity;
    // Two that never come are as far apart as one.
    if (!(moved < WORTH_MS) && !Number.isNaN(moved)) steps.push({ at: event.at, open, event });
  }
  return steps;
}

/** At most so many of some events, evenly among them, with the first and the last. */
function evenly(events: readonly SowingEvent[]): Set<SowingEvent> {
  if (events.length <= MOST_LINES) return new Set(events);
  const step = (events.length - 1) / (MOST_LINES - 1);
  return new Set(Array.from({ length: MOST_LINES }, (_, n) => events[Math.round(n * step)]!));
}
