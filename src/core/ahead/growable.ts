import type { Crop, Density } from '../crops/crop.ts';
import type { Prices } from '../costs/prices.ts';
import type { Place } from '../places/place.ts';
import { standsStill, tooWarm } from '../places/air/warmth.ts';
import { leavesForLight } from '../sowing/carried.ts';
import {
  planSowing,
  type ChosenPart,
  type PlanContext,
  type PlannedSowing,
  type SowingChoice
} from '../sowing/planSowing.ts';
import { beginsAt } from '../sowing/soak.ts';
import { pathIn, type SowingSetup } from '../sowing/sowing.ts';
import { areaCm2, type Container } from '../supplies/containers/container.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import type { Method } from '../supplies/methods/method.ts';
import { mostWeightG } from '../shelf/load.ts';
import { emptyG } from '../shelf/weight.ts';
import type { Rhythm } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { tooShort } from '../water/lasts.ts';
import { dayIndex, type Horizon } from './horizon.ts';
import { CLEANING_D } from './room.ts';
import { curveOf, lastCutAt, type Curve } from './supply.ts';

/** One crop of what may be sown, with the lot its seed is taken from first: null for seed that nobody keeps. */
export interface GrowablePart extends ChosenPart {
  /** Seed of it that there is in all, g; null where nobody keeps count. */
  seedG: number | null;
}

/** A crop or a blend that may be sown, as the household sows it. */
export interface Growable {
  /** Blended seed as one crop. */
  crop: Crop;
  parts: readonly GrowablePart[];
  shareOf: SowingChoice['shareOf'];
  medium: MediumKind;
  mediumId: string | null;
  method: Method;
  density: Density | number;
}

/** Seed of one crop, per cm2 of a container or for one whole. */
export interface PartSeed {
  cropKey: string;
  g: number;
}

/** Where it is begun, and where it is carried as it comes to light: null where it stays. */
export interface Where {
  place: Place;
  lightPlace: Place | null;
}

/** How one container of a crop goes at a place, counted in days from when it is begun. */
export interface Course {
  growable: Growable;
  where: Where;
  /** A day from which on it may be begun so. */
  from: number;
  /** Days from its begin to its sowing, to the day it is carried to light, and until its container and place are free again. */
  sowD: number;
  litD: number;
  freeD: number;
  curve: Curve;
  /** Per cm2 of a container. */
  yieldGCm2: number;
  seedGCm2: readonly PartSeed[];
  /** The most that it comes to weigh, without its container. */
  loadGCm2: number;
}

/** A sill's light changes with the year: followed from so many days to so many. */
const SILL_STEP_D = 28;
/** A course is reckoned on it, and goes by the area. */
const USUAL: Container = {
  name: 'Tray',
  shape: 'rectangle',
  lengthCm: 25,
  widthCm: 18,
  depthCm: 5,
  cells: 1
};

/** Containers of it at a place, as its household sows it. */
export function plannedFor(
  { parts, shareOf, medium, mediumId, method, density }: Growable,
  of: Pick<SowingChoice, 'place' | 'lightPlace' | 'container' | 'count' | 'ownSeedG' | 'aim'>,
  context: PlanContext
): PlannedSowing {
  return planSowing(
    {
      kind: parts.length > 1 ? 'blended' : 'one',
      parts,
      shareOf,
      staggered: false,
      medium,
      mediumId,
      method,
      density,
      germinationPct: null,
      soakH: null,
      stackOf: null,
      ...of
    },
    context
  )[0]!;
}

/** One container of it, begun at a place from a moment on. */
export const plannedAt = (
  growable: Growable,
  { where, container, at }: { where: Where; container: Container; at: Millis },
  context: PlanContext
): PlannedSowing =>
  plannedFor(growable, { ...where, container, count: 1, ownSeedG: null, aim: { kind: 'from', at } }, context);

/** Why a crop does not go at a place; null where it does. */
export function whyNotAt(
  { crop, medium, method }: Growable,
  { place, lightPlace }: Where,
  gapH: number
): 'too-warm' | 'stands-still' | 'dark' | 'dries-out' | null {
  const along = lightPlace ? [place, lightPlace] : [place];
  if (along.some((one) => tooWarm(crop, one))) return 'too-warm';
  if (along.some((one) => standsStill(crop, one))) return 'stands-still';
  const path = pathIn(crop, { method, medium, container: USUAL });
  if (lightPlace ? !leavesForLight(place, path) : place.light.kind === 'dark' && path.lightFrom !== null)
    return 'dark';
  // Leaves lose most: it lasts as it lasts in light.
  const last = lightPlace ?? place;
  return tooShort({ crop, medium, container: USUAL, place: last, gapH, method }, [last]) === null
    ? null
    : 'dries-out';
}

/** One begun now at a place, and when it would open; null where it never would. */
export function begunNow(
  growable: Growable,
  where: Where,
  horizon: Horizon,
  context: PlanContext
): { where: Where; planned: PlannedSowing; opensAt: Millis } | null {
  const planned = plannedAt(growable, { where, container: USUAL, at: horizon.workFrom[0]! }, context);
  const opensAt = planned.plan.forecast.marks.windowOpen.p50;
  return planned.plan.hindered || !Number.isFinite(opensAt) ? null : { where, planned, opensAt };
}

/**
 * How a crop goes at a place over a horizon: once under a lamp, at a sill anew from time to time.
 * @param now as it goes if it is begun now
 */
export function coursesOf(
  growable: Growable,
  where: Where,
  now: PlannedSowing,
  horizon: Horizon,
  context: PlanContext
): Course[] {
  const bySun = (where.lightPlace ?? where.place).light.kind === 'sill';
  const step = bySun ? SILL_STEP_D : horizon.days;
  const courses: Course[] = [];
  // Begun today it may be evening already, and on all other days in the morning: half a day moves the day it is carried on.
  const first = where.lightPlace ? 1 : step;
  for (let day = 0; day < horizon.days; day += day === 0 ? first : step) {
    const at = horizon.workFrom[day]!;
    const planned = day === 0 ? now : plannedAt(growable, { where, container: USUAL, at }, context);
    const course = courseFrom(growable, where, day, planned, horizon, context.rhythm);
    if (course) courses.push(course);
  }
  // Days between are forecast anew once they are taken: room is held for the longer of both ends, and a day more for the darkest
  // of the year between them.
  return courses.map((course, nth) => ({
    ...course,
    freeD: Math.max(course.freeD, courses[nth + 1]?.freeD ?? 0) + (bySun ? 1 : 0)
  }));
}

function courseFrom(
  growable: Growable,
  where: Where,
  day: number,
  { plan, setup, projected }: PlannedSowing,
  horizon: Horizon,
  rhythm: Rhythm
): Course | null {
  const { crop, method } = growable;
  if (plan.hindered) return null;
  const begins = dayIndex(horizon, rhythm, beginsAt(plan.soak));
  const supper = horizon.supperAt[day]! + (begins - day) * DAY;
  const moments = Array.from({ length: horizon.days }, (_, days) => supper + days * DAY);
  const { forecast } = projected;
  const lastCut = lastCutAt(projected);
  if (!Number.isFinite(lastCut)) return null;
  return {
    growable,
    where,
    from: day === 0 ? begins : day,
    sowD: dayIndex(horizon, rhythm, setup.sowAt) - begins,
    litD: where.lightPlace ? dayIndex(horizon, rhythm, forecast.litAt) - begins : 0,
    freeD: dayIndex(horizon, rhythm, lastCut) - begins + 1 + CLEANING_D,
    curve: curveOf(forecast, crop, method, moments),
    yieldGCm2: plan.yieldG.usual / areaCm2(USUAL),
    seedGCm2: partSeeds(setup, 1 / areaCm2(USUAL)),
    loadGCm2: (mostWeightG(projected) - emptyG(USUAL)) / areaCm2(USUAL)
  };
}

/** What a planned sowing takes of each crop's seed, times a factor. */
export const partSeeds = (
  { cropKey, mix, seedG }: Pick<SowingSetup, 'cropKey' | 'mix' | 'seedG'>,
  factor = 1
): PartSeed[] =>
  (mix ?? [{ cropKey, seedG }]).map((part) => ({ cropKey: part.cropKey, g: part.seedG * factor }));

/** Without prices, a gram of seed costs so many grams of greens (starting figure). */
const SEED_COST_G = 0.1;

/**
 * What seed costs in grams of greens, at its share of the shop's price.
 * @param seeds one a part of what is sown
 */
export const seedCostG = ({ parts }: Growable, seeds: readonly PartSeed[], prices: Prices): number =>
  seeds.reduce((sum, { g }, nth) => sum + partCostG(parts[nth]!, g, prices), 0);

function partCostG({ crop, lot }: GrowablePart, seedG: number, { lots, shop }: Prices): number {
  const perG = lot ? lots[lot.id] : undefined;
  const per100 = shop[crop.key];
  return perG !== undefined && per100 !== undefined && per100 > 0
    ? (seedG * perG) / (per100 / 100)
    : seedG * SEED_COST_G;
}
