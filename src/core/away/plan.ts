import { bearsCold, isColdStore } from '../growth/coldStore.ts';
import { usualAir } from '../places/air/airAt.ts';
import type { Place } from '../places/place.ts';
import { expectedAtG } from '../harvest/expected.ts';
import type { SowingEvent } from '../sowing/event.ts';
import type { HouseholdFacts } from '../sowing/project.ts';
import type { Story } from '../sowing/projectInSteps.ts';
import { reduceEvents } from '../sowing/reduce.ts';
import { movedTo } from '../sowing/reach.ts';
import { beginsAt } from '../sowing/soak.ts';
import { standingOf, type Standing } from '../sowing/standing.ts';
import { AHEAD_D, type Doing, type RoundAhead, goThroughInSteps, standingInSteps } from '../steps/ahead.ts';
import { finished } from '../time/inSteps.ts';
import type { StopStep } from '../steps/walk.ts';
import { hangsAt } from '../steps/withhold.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Absence } from './period.ts';

/**
 * What is best done about a container before its household leaves, in the order in which it is done.
 * - `lasts`: nothing; it gets through by itself
 * - `sitter`: somebody must come by
 * - `cool`: moved there, it gets through by itself
 * - `cut`: its window closes meanwhile, or nobody waters it: cut it before
 * - `put-off`: it would begin, or have to be seen to, while nobody is there: begin it afterwards
 */
export const AWAY_VERDICTS = ['cut', 'cool', 'put-off', 'sitter', 'lasts'] as const;
export type AwayVerdict = (typeof AWAY_VERDICTS)[number];

/** One container through an absence. */
export interface Outlasting {
  standing: Standing;
  verdict: AwayVerdict;
  /** When seedlings begin to hang if nobody gives water; null for not meanwhile. */
  driesAt: Millis | null;
  /** When its window closes, where that is meanwhile. */
  closesAt: Millis | null;
  /** What cutting at the leaving gives, and how much less that is than at the best day to come, g. */
  cutG: number;
  lostG: number;
  /** Where it would wait well, if anywhere. */
  coolPlace: Place | null;
  /** Rounds on which a sitter has something to do to it. */
  visits: number;
}

/** What an absence means for the household's trays. */
export interface AwayPlan {
  trays: Outlasting[];
  /** What a sitter does, round by round; those with nothing to do are left out. */
  rounds: RoundAhead[];
}

/** Whoever comes by waters, uncovers and brings to light. They cut nothing, and begin nothing. */
const SITS: readonly StopStep['body']['kind'][] = [
  'water',
  'mist',
  'weight',
  'uncover',
  'light',
  'turn',
  'air'
];
export const sits: Doing = ({ body }) => SITS.includes(body.kind);

/** The rounds between two moments as whoever comes by walks them: what they do, and no looks, which they are not asked for. */
export function* sittersRounds(
  facts: HouseholdFacts,
  stories: readonly Story[],
  from: Millis,
  until: Millis
): Generator<void, RoundAhead[], void> {
  const { rounds } = yield* goThroughInSteps(facts, stories, from, until, sits);
  return rounds
    .map(({ at, walk }) => ({
      at,
      walk: {
        ...walk,
        stops: walk.stops
          .map((stop) => ({
            ...stop,
            steps: stop.steps.filter((step) => sits(step, at)),
            parts: stop.parts.map((part) => ({ ...part, ask: { ...part.ask, look: null, notes: [] } }))
          }))
          .filter(({ steps }) => steps.length > 0)
      }
    }))
    .filter(({ walk }) => walk.stops.length > 0);
}

/** A tray stands this much warmer than where it would wait, or the move is not worth it, degC. */
const COOLER_C = 2;

/**
 * What comes due while a household is away: it walks every round until it leaves; then nobody, or a sitter.
 */
export const awayPlan = (
  facts: HouseholdFacts,
  stories: readonly Story[],
  absence: Absence,
  now: Millis
): AwayPlan => finished(awayPlanInSteps(facts, stories, absence, now));

/** The same in small steps. */
export function* awayPlanInSteps(
  facts: HouseholdFacts,
  stories: readonly Story[],
  { leavesAt, backAt }: Absence,
  now: Millis
): Generator<void, AwayPlan, void> {
  // What stands now will not stand then.
  if (leavesAt - now > AHEAD_D * DAY) return { trays: [], rounds: [] };
  const before =
    now < leavesAt ? (yield* goThroughInSteps(facts, stories, now, leavesAt)).stories : [...stories];
  const from = Math.max(now, leavesAt);
  const alone = yield* standingInSteps(facts, before);
  const rounds = yield* sittersRounds(facts, before, from, backAt - 1);
  const notBegun = new Set(
    stories.filter(({ events }) => reduceEvents(events).stage === 'prepare').map(({ setup }) => setup.id)
  );
  const eventsOf = new Map(before.map(({ setup, events }) => [setup.id, events]));
  const trays: Outlasting[] = [];
  for (const standing of standingOf(alone)) {
    const visits = rounds.filter(({ walk }) => walk.stops.some(({ key }) => key === standing.key)).length;
    const later = standing.sowings.some(({ setup }) => notBegun.has(setup.id));
    trays.push(outlasting(facts, standing, eventsOf, { from, backAt, visits, later }));
    yield;
  }
  return { trays, rounds };
}

function outlasting(
  facts: HouseholdFacts,
  standing: Standing,
  eventsOf: ReadonlyMap<string, readonly SowingEvent[]>,
  { from, backAt, visits, later }: { from: Millis; backAt: Millis; visits: number; later: boolean }
): Outlasting {
  const { sowings } = standing;
  const driesAt = earliest(sowings.map((sowing) => hangsAt(sowing, from, backAt)));
  const closesAt = earliest(
    sowings.map(({ state, forecast }) =>
      state.sownAt !== null && forecast.marks.windowClose.p50 < backAt ? forecast.marks.windowClose.p50 : null
    )
  );
  const cutG = sum(sowings.map((sowing) => expectedAtG(sowing, from).usual));
  const bestG = sum(
    sowings.map((sowing) => {
      const { windowBest } = sowing.forecast.marks;
      const at = Math.min(Math.max(from, windowBest.p50), backAt);
      return Math.max(expectedAtG(sowing, at).usual, expectedAtG(sowing, from).usual);
    })
  );
  const coolPlace = coolest(facts, standing, eventsOf, { from, backAt });
  return {
    standing,
    verdict: verdictOf(standing, { from, backAt, driesAt, closesAt, cutG, coolPlace, visits, later }),
    driesAt,
    closesAt,
    cutG,
    lostG: Math.max(0, bestG - cutG),
    coolPlace,
    visits
  };
}

function verdictOf(
  { sowings }: Standing,
  {
    from,
    backAt,
    later,
    driesAt,
    closesAt,
    cutG,
    coolPlace,
    visits
  }: { from: Millis; backAt: Millis; later: boolean } & Omit<Outlasting, 'standing' | 'verdict' | 'lostG'>
): AwayVerdict {
  if (sowings.some(({ state, soak }) => state.stage === 'prepare' && beginsAt(soak) < backAt))
    return 'put-off';
  if (sowings.every(({ state }) => state.stage === 'prepare')) return 'lasts';
  if (driesAt === null && closesAt === null && visits === 0) return 'lasts';
  // What is only planned yet need not be begun before.
  if (later) return 'put-off';
  if (coolPlace) return 'cool';
  // What is past its window is not watered on: it is cut or cleared.
  if (closesAt !== null && (cutG > 0 || closesAt <= from)) return 'cut';
  return 'sitter';
}

/** The coolest place in which it gets through by itself: open to light where it needs it, damp and not past its window. */
function coolest(
  facts: HouseholdFacts,
  { sowings }: Standing,
  eventsOf: ReadonlyMap<string, readonly SowingEvent[]>,
  { from, backAt }: { from: Millis; backAt: Millis }
): Place | null {
  if (sowings.some(({ state }) => state.sownAt === null || state.litAt === null)) return null;
  const here = usualAir(sowings[0]!.place).tempC;
  const isRipe = sowings.every(({ forecast }) => forecast.marks.windowOpen.p50 <= from);
  const there = [...facts.places.values()]
    .filter((place) => usualAir(place).tempC <= here - COOLER_C)
    .filter((place) =>
      isColdStore(place)
        ? isRipe && sowings.every(({ crop }) => bearsCold(crop, place))
        : place.light.kind !== 'dark'
    )
    .sort((a, b) => usualAir(a).tempC - usualAir(b).tempC);
  return (
    there.find((place) =>
      sowings.every((sowing) => {
        const moved = movedTo(facts, sowing.setup, eventsOf.get(sowing.setup.id) ?? [], place, from);
        return (
          (isColdStore(place) || usualAir(place).tempC > sowing.crop.baseC) &&
          moved.forecast.marks.windowClose.p50 >= backAt &&
          hangsAt(moved, from, backAt) === null
        );
      })
    ) ?? null
  );
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
const earliest = (times: readonly (Millis | null)[]): Millis | null => {
  const known = times.filter((at) => at !== null);
  return known.length > 0 ? Math.min(...known) : null;
};
