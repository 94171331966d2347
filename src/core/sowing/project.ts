import type { Place } from '../places/place.ts';
import type { SowingEvent } from './event.ts';
import { soakFrom, soonest, type SoakPlan } from './soak.ts';
import type { Rhythm } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { forecast, type Forecast, type Stay } from '../growth/forecast.ts';
import { learnedBelief, type Learned } from '../growth/learned.ts';
import { NEW_HOUSEHOLD } from '../growth/learn.ts';
import { NEW_THIRST, sowingThirst, thirstBelief, type ThirstLearned } from '../water/thirst.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { reduceEvents, type SowingState } from './reduce.ts';
import { sowingOf, type OwnCrops, type Sowing, type SowingSetup } from './sowing.ts';

/** What the core must know of the household to follow its sowings. */
export interface HouseholdFacts {
  rhythm: Rhythm;
  latitudeDeg: number;
  places: ReadonlyMap<string, Place>;
  /** Crops the household added or whose figures it overrules. */
  ownCrops?: OwnCrops;
  /** What its trays have taught; nothing for a new household. */
  learned?: Learned;
  /** What they have taught of how fast water goes here. */
  thirst?: ThirstLearned;
}

/** One sowing as it stands: what was decided, what happened, and what is expected. */
export interface Projected extends Sowing {
  state: SowingState;
  soak: SoakPlan;
  /** When it was sown, or is to be. */
  sownAt: Millis;
  place: Place;
  stays: Stay[];
  forecast: Forecast;
  /** ln of the factor on water loss that this sowing started from. */
  thirst: Gaussian;
}

/**
 * Follows one sowing through its events.
 * @param asIfNew takes nothing the household has learned into account: what the book alone would say
 * @throws Error where it names a crop or place that does not exist
 */
export function project(
  household: HouseholdFacts,
  setup: SowingSetup,
  events: readonly SowingEvent[],
  { asIfNew = false }: { asIfNew?: boolean } = {}
): Projected {
  const sowing = sowingOf(setup, household.ownCrops);
  const belief = asIfNew ? NEW_HOUSEHOLD : learnedBelief(household.learned, sowing.crop, setup.id);
  const state = reduceEvents(events);
  const soak = soakPlan(household, sowing, state);
  const sownAt = state.sownAt ?? soak.sowAt;
  const stays = staysOf(household, setup, state);
  return {
    ...sowing,
    state,
    soak,
    sownAt,
    stays,
    place: stays.at(-1)!.place,
    thirst: asIfNew ? NEW_THIRST : sowingThirst(thirstBelief(household.thirst, setup.id)),
    forecast: forecastFrom(household, sowing, { state, stays, sownAt, belief })
  };
}

/** @throws Error where it stands in a place that does not exist */
export const staysOf = (household: HouseholdFacts, setup: SowingSetup, { moves }: SowingState): Stay[] =>
  [{ from: -Infinity, placeId: setup.placeId }, ...moves].map(({ from, placeId }) => {
    const place = household.places.get(placeId);
    if (!place) throw new Error(`Sowing ${setup.id} stands in a place that does not exist.`);
    return { from, place };
  });

/** What is expected of a sowing as its state has it. */
export const forecastFrom = (
  { rhythm, latitudeDeg }: HouseholdFacts,
  { setup, crop, path, needsSoak }: Sowing,
  { state, stays, sownAt, belief }: { state: SowingState; stays: Stay[]; sownAt: Millis; belief: Gaussian }
): Forecast =>
  forecast({
    crop,
    zone: rhythm.zone,
    latitudeDeg,
    sownAt,
    // Drained seed has been in water, whether somebody ticked that or not.
    unsoaked: needsSoak && wasDry(setup, state),
    stays,
    lightFrom: path.lightFrom,
    domeDays: path.domeDays,
    uncoveredAt: state.uncoveredAt,
    litAt: state.litAt,
    seen: state.seen,
    belief
  });

/** Whether its seed went in dry, or is to. */
const wasDry = ({ soakH }: SowingSetup, state: SowingState): boolean =>
  state.sownAt === null ? soakH === 0 : state.soakedAt === null && state.drainedAt === null;

/** The soak as it goes: as planned until it has begun, then counted from when it did. */
function soakPlan({ rhythm }: HouseholdFacts, { setup, crop }: Sowing, state: SowingState): SoakPlan {
  if (state.soakedAt === null && state.putOffTo !== null) return soonest(crop, rhythm, state.putOffTo);
  if (state.soakedAt !== null && state.soakedAt !== setup.soakStartAt)
    return soakFrom(crop, rhythm, state.soakedAt);
  const { soakStartAt, soakEndAt, sowAt } = setup;
  const soakH = soakStartAt !== null && soakEndAt !== null ? (soakEndAt - soakStartAt) / 3_600_000 : 0;
  return { soakStart: soakStartAt, soakEnd: soakEndAt, soakH, sowAt, endsAsleep: false };
}

/** Which day of its life a sowing is in, counted from the day it was sown as day 0; negative before. */
export function dayOf(projected: Pick<Projected, 'sownAt'>, now: Millis): number {
  return Math.floor((now - projected.sownAt) / DAY);
}
