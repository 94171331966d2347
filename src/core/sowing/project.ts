import type { Place } from '../places/place.ts';
import { carriedTo } from './carried.ts';
import type { SowingEvent } from './event.ts';
import { soakFrom, soonest, type SoakPlan } from './soak.ts';
import { longestGapH, meanWaitH, type Rhythm } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';
import { coldSince, heldCold } from '../growth/coldStore.ts';
import { forecast, type Forecast, type Stay } from '../growth/forecast.ts';
import { coveredOnD } from '../supplies/methods/path.ts';
import type { Telling } from '../growth/telling.ts';
import { learnedBelief, learnedTelling, type Learned } from '../growth/learned.ts';
import { tableOptimumDays } from '../growth/marks.ts';
import { yieldBelief, type YieldLearned } from '../growth/yieldLearned.ts';
import { NEW_HOUSEHOLD } from '../growth/learn.ts';
import { NEW_THIRST, sowingThirst, thirstBelief, type ThirstLearned } from '../water/thirst.ts';
import { suitOf, type Suit } from '../growth/suit.ts';
import { observe, type Gaussian } from '../stats/gaussian.ts';
import { heardOf } from './heard.ts';
import { coveredUntil, reduceEvents, type SowingState } from './reduce.ts';
import { shadedUntil, waitsD } from './stage.ts';
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
  /** What they have taught of its yields. */
  yields?: YieldLearned;
  /** What they have taught of how fast water goes here. */
  thirst?: ThirstLearned;
}

/** One sowing as it stands: what was decided, what happened, and what is expected. */
export interface Projected extends Sowing {
  state: SowingState;
  soak: SoakPlan;
  /** The start of its clock: when it was sown, or is to be. */
  startAt: Millis;
  place: Place;
  stays: Stay[];
  /** Where it is carried as it comes to light, while it stands in the dark for that; null where it stays. */
  carriedTo: Place | null;
  forecast: Forecast;
  /** How where it stands suits it. */
  suit: Suit;
  /** Of its first growth, where it grows again from its stubs: what it taught of its crop's pace it taught then. */
  firstGrowth: Forecast | null;
  /** ln of the household's factor on the crop's yield, as believed. */
  yields: Gaussian;
  /** The longest gap between two rounds of its household, hours. */
  gapH: number;
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
  const startAt = state.sownAt ?? soak.sowAt;
  const telling = asIfNew || !household.learned ? undefined : learnedTelling(household.learned, setup.id);
  const from = followed(household, sowing, state, startAt, belief, telling);
  const { stays } = from;
  // Forecast and suit are worked out when they are first asked for: a write that looks at its timers needs neither.
  let expected: Forecast | undefined;
  let firstGrowth: Forecast | null | undefined;
  const forecastHere = (): Forecast => (expected ??= forecastFrom(household, sowing, from));
  const suitHere = (): Suit =>
    suitOf(
      {
        crop: sowing.crop,
        needsLight: sowing.path.lightFrom !== null,
        latitudeDeg: household.latitudeDeg,
        zone: household.rhythm.zone,
        startAt: startAt
      },
      { place: stays.at(-1)!.place, carriedTo: from.carriedTo },
      household.places.values(),
      state.sownAt === null ? null : forecastHere().marks.windowOpen.p50
    );
  let suit: Suit | undefined;
  return {
    ...sowing,
    state,
    soak,
    startAt,
    stays,
    carriedTo: from.carriedTo,
    place: stays.at(-1)!.place,
    gapH: longestGapH(household.rhythm),
    thirst: asIfNew ? NEW_THIRST : sowingThirst(thirstBelief(household.thirst, setup.id)),
    yields: yieldBelief(asIfNew ? undefined : household.yields, sowing.crop.key),
    get forecast() {
      return forecastHere();
    },
    get suit() {
      return (suit ??= suitHere());
    },
    get firstGrowth() {
      return (firstGrowth ??= state.regrowsSince === null ? null : fromSeed(household, sowing, from));
    }
  };
}

/** @throws Error where it stands in a place that does not exist */
const staysOf = (household: HouseholdFacts, setup: SowingSetup, { moves }: SowingState): Stay[] =>
  [{ from: -Infinity, placeId: setup.placeId }, ...moves].map(({ from, placeId }) => {
    const place = household.places.get(placeId);
    if (!place) throw new Error(`Sowing ${setup.id} stands in a place that does not exist.`);
    return { from, place };
  });

interface Followed {
  state: SowingState;
  stays: Stay[];
  carriedTo: Place | null;
  startAt: Millis;
  belief: Gaussian;
  telling: Telling | undefined;
}

/** What its forecast follows from, as its state has it. */
export function followed(
  household: HouseholdFacts,
  sowing: Sowing,
  state: SowingState,
  startAt: Millis,
  belief: Gaussian,
  telling?: Telling
): Followed {
  const { rhythm, latitudeDeg, places } = household;
  const stays = staysOf(household, sowing.setup, state);
  const here = { latitudeDeg, zone: rhythm.zone, startAt };
  const carried = carriedTo(sowing, state, stays, places, here);
  return { state, stays, carriedTo: carried, startAt, belief, telling };
}

/** What is expected of a sowing as its state has it: from its seed, or from its stubs once it grows again. */
export function forecastFrom(household: HouseholdFacts, sowing: Sowing, followed: Followed): Forecast {
  const growing =
    followed.state.regrowsSince === null
      ? fromSeed(household, sowing, followed)
      : fromStubs(household, sowing, followed, followed.state.regrowsSince);
  const since = coldSince(followed.stays);
  return since === null || !Number.isFinite(since) ? growing : heldCold(growing, sowing.crop, since);
}

const fromSeed = (
  { rhythm, latitudeDeg }: HouseholdFacts,
  { setup, crop, path, needsSoak }: Sowing,
  { state, stays, carriedTo, startAt, belief, telling }: Followed
): Forecast =>
  forecast({
    crop,
    zone: rhythm.zone,
    latitudeDeg,
    startAt,
    // Drained seed has been in water, whether somebody ticked that or not.
    unsoaked: needsSoak && wasDry(setup, state),
    stays,
    carriedTo,
    lightFrom: path.lightFrom,
    domeDays: path.domeDays,
    domeD21: path.domeD21,
    darkDays: path.darkDays,
    shadedUntil: shadedUntil(path, startAt, state),
    coveredOnD: coveredOnD(path) + waitsD(path, state),
    pressedAt: path.pressesLate ? state.pressedAt : null,
    uncoveredAt: state.uncoveredAt,
    coveredUntil: coveredUntil(state),
    litAt: state.litAt,
    waitH: meanWaitH(rhythm),
    heard: heardOf(state.first ?? state, path),
    telling,
    belief
  });

/** Its roots are there, and the rest of its way lies before it (starting figure); its pace is what its first growth said. */
function fromStubs(
  household: HouseholdFacts,
  sowing: Sowing,
  followed: Followed,
  regrowsSince: Millis
): Forecast {
  const { state, stays, belief, telling } = followed;
  const { crop, path } = sowing;
  const first = fromSeed(household, sowing, followed);
  const said = first.message();
  return forecast({
    crop,
    zone: household.rhythm.zone,
    latitudeDeg: household.latitudeDeg,
    startAt: regrowsSince,
    unsoaked: false,
    headStart: tableOptimumDays(crop).rooted,
    stays,
    lightFrom: path.lightFrom,
    litAt: path.lightFrom === null ? null : regrowsSince,
    waitH: meanWaitH(household.rhythm),
    heard: heardOf(state, path),
    telling,
    belief: said ? observe(belief, said) : belief
  });
}

/** Whether its seed went in dry, or is to. */
export const wasDry = ({ soakH }: Pick<SowingSetup, 'soakH'>, state: SowingState): boolean =>
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
