import type { Place } from '../places/place.ts';
import type { SowingEvent } from './event.ts';
import { project, type Projected, type HouseholdFacts } from './project.ts';
import type { SowingSetup } from './sowing.ts';
import { DAY, type Millis } from '../time/zone.ts';

/** How a tray that is under way can be steered towards a day. */
export type Steering =
  /** It stays where it is. */
  | { kind: 'stay' }
  /** It moves there now. */
  | { kind: 'move'; place: Place }
  /** It stays until it opens, and then waits somewhere cooler. */
  | { kind: 'hold'; place: Place };

/** One course, and what comes of it. */
export interface Outlook {
  course: Steering;
  /** Chance that it can be cut on the day: open, and not past it. */
  chance: number;
  opensAt: Millis;
  closesAt: Millis;
  /** Days from the opening to the close: how long it keeps uncut. */
  keepsD: number;
  /** Days that the opening shifts by, later positive. */
  laterD: number;
}

/** What can be done to have a tray on a day. */
export interface Reach {
  /** Best chance first; staying comes first among equals. */
  outlooks: Outlook[];
  /** Where no course makes it likely: the same hour of the nearest day on which one does. */
  nearest: { at: Millis; outlook: Outlook } | null;
}

/** From this chance on a day can be counted on. */
export const LIKELY = 0.6;
/** A place must be this much cooler to be worth waiting in, degC. */
const COOLER_C = 2;
/** A hold must make the day likelier by this much. */
const HELPS = 0.05;
const SEARCH_D = 28;

/**
 * Works out which places bring a tray to a day, and what each gains and loses.
 * @param by the moment it is wanted at
 */
export function reach(
  household: HouseholdFacts,
  setup: SowingSetup,
  events: readonly SowingEvent[],
  by: Millis,
  now: Millis
): Reach {
  const staying = project(household, setup, events);
  const others = [...household.places.values()].filter(
    (place) =>
      place.id !== staying.place.id && (place.light.kind !== 'dark' || staying.path.lightFrom === null)
  );
  const opensAt = staying.forecast.marks.windowOpen.p50;
  const courses: { course: Steering; projected: Projected }[] = [
    { course: { kind: 'stay' }, projected: staying },
    ...others.map((place) => ({
      course: { kind: 'move', place } as const,
      projected: movedTo(household, setup, events, place, now)
    })),
    ...others
      .filter((place) => isCooler(place, staying.place) && Number.isFinite(opensAt))
      .map((place) => ({
        course: { kind: 'hold', place } as const,
        projected: movedTo(household, setup, events, place, Math.max(now, opensAt))
      }))
  ];
  const stays = cuttableAt(staying, by);
  const outlooks = courses
    .map(({ course, projected }) => outlookOf(course, projected, staying, by))
    // Waiting elsewhere is worth the carrying only where it helps.
    .filter(({ course, chance }) => course.kind !== 'hold' || chance > stays + HELPS)
    .sort(likeliestFirst);
  const best = outlooks[0]!;
  return { outlooks, nearest: best.chance >= LIKELY ? null : nearestOf(courses, staying, by, now) };
}

/** A sowing projected as though it were moved at a moment. */
export function movedTo(
  household: HouseholdFacts,
  setup: SowingSetup,
  events: readonly SowingEvent[],
  place: Place,
  at: Millis
): Projected {
  const move: SowingEvent = {
    id: 'as-if',
    at,
    by: null,
    taskKey: null,
    body: { type: 'moved', placeId: place.id }
  };
  return project(household, setup, [...events, move]);
}

/** Chance that a tray can be cut at a moment: open by then and not past its close. */
export const cuttableAt = ({ forecast }: Projected, at: Millis): number =>
  Math.max(0, forecast.chance('windowOpen', at) - forecast.chance('windowClose', at));

function outlookOf(course: Steering, projected: Projected, staying: Projected, by: Millis): Outlook {
  const { windowOpen, windowClose } = projected.forecast.marks;
  return {
    course,
    chance: cuttableAt(projected, by),
    opensAt: windowOpen.p50,
    closesAt: windowClose.p50,
    keepsD: (windowClose.p50 - windowOpen.p50) / DAY,
    laterD: windowOpen.seen ? 0 : (windowOpen.p50 - staying.forecast.marks.windowOpen.p50) / DAY
  };
}

const rank = (course: Steering): number => ['stay', 'move', 'hold'].indexOf(course.kind);

/** By chance, to the twentieth; among equals, what is least to carry. */
const likeliestFirst = (
  a: Pick<Outlook, 'course' | 'chance'>,
  b: Pick<Outlook, 'course' | 'chance'>
): number => Math.round((b.chance - a.chance) * 20) || rank(a.course) - rank(b.course);

const isCooler = (place: Place, than: Place): boolean =>
  place.dayC + place.nightC <= than.dayC + than.nightC - 2 * COOLER_C;

/** The same hour of the nearest day on which some course makes it likely. */
function nearestOf(
  courses: readonly { course: Steering; projected: Projected }[],
  staying: Projected,
  by: Millis,
  now: Millis
): Reach['nearest'] {
  for (let days = 1; days <= SEARCH_D; days += 1)
    for (const at of [by - days * DAY, by + days * DAY]) {
      if (at < now) continue;
      const found = courses
        .map(({ course, projected }) => ({ course, projected, chance: cuttableAt(projected, at) }))
        .sort(likeliestFirst)[0]!;
      if (found.chance >= LIKELY)
        return { at, outlook: outlookOf(found.course, found.projected, staying, at) };
    }
  return null;
}
