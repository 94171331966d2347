import type { Place } from '../places/place.ts';
import { areaCm2, type Container } from '../supplies/containers/container.ts';
import { needsSoak, type Crop } from '../crops/crop.ts';
import { mediumDepthCm, mediumVolumeMl, type MediumKind } from '../supplies/media/medium.ts';
import type { Method } from '../supplies/methods/method.ts';
import { coveredOnD, type Path } from '../supplies/methods/path.ts';
import { seedAmount, type SeedAmount } from '../supplies/seed/amount.ts';
import { preparingMin } from './preparing.ts';
import { cropAsSet, pathIn } from './sowing.ts';
import { shadedUntil } from './stage.ts';
import { latestBy, soonest, type SoakPlan } from './soak.ts';
import { meanWaitH, type Rhythm } from '../time/rhythm.ts';
import { DAY, MINUTE, type Millis } from '../time/zone.ts';
import { forecast, type Forecast } from '../growth/forecast.ts';
import type { Telling } from '../growth/telling.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { heatFactor, standYieldG, type UsualYield } from '../growth/yield.ts';
import { yieldBelief } from '../growth/yieldLearned.ts';
import { usualAir } from '../places/air/airAt.ts';
import { hindranceOf, type Hindrance } from '../growth/suit.ts';
import { NEW_HOUSEHOLD } from '../growth/learn.ts';

/** When a sowing is to be ready: as soon as it can be, as soon as it can from a moment on, or by a moment. */
export type Aim = { kind: 'now' } | { kind: 'from'; at: Millis } | { kind: 'by'; at: Millis };

export interface PlanInput {
  crop: Crop;
  container: Container;
  count: number;
  /** Share of the containers it takes; all of them where not given. */
  areaShare?: number;
  /** Hours of soaking, where they are not the crop's own; 0 for none. */
  soakH?: number | null;
  medium: MediumKind;
  method: Method;
  place: Place;
  /** Of what is sown in the dark, where it is carried as it comes to light. */
  carriedTo?: Place | null;
  /** How it goes, where that is not its method's way with this crop alone: two halves of one container go one way. */
  path?: Path;
  seedsPerCm2: number;
  germinationPct: number | null;
  aim: Aim;
  rhythm: Rhythm;
  latitudeDeg: number;
  now: Millis;
  belief?: Gaussian;
  /** How the household tells what it sees. */
  telling?: Telling;
  /** ln of the household's factor on the crop's yield. */
  yields?: Gaussian;
  /** Lots that its seed is weighed from; one where not given. */
  lots?: number;
}

/** A sowing as it would go. */
export interface Plan {
  seed: SeedAmount;
  path: Path;
  soak: SoakPlan;
  forecast: Forecast;
  mediumMl: number;
  /** What it is expected to give. */
  yieldG: UsualYield;
  /** ln of the household's factor on the crop's yield that this goes by. */
  yields: Gaussian;
  /** Chance that the window is open at the moment aimed for; null without one. */
  chance: number | null;
  /** Set where the moment aimed for is too near: the first day's last round by which it can be had. */
  earliestAt: Millis | null;
  /** Set where the crop hardly grows at this place: no window is promised. */
  hindered: Hindrance | null;
}

/** "Ready by" means that the window is open by then in eight of ten such sowings. */
export const READY_CHANCE = 0.8;

/** Works out a sowing: seed, soak, stages and window; the same on both sides of the wire. */
export function plan(input: PlanInput): Plan {
  const { container, count, aim, rhythm, carriedTo = null } = input;
  const crop = cropAsSet(input.crop, input);
  // Seed is weighed and rinsed before it soaks: none of it lies in the past.
  const now = input.now + preparingMin(crop, input.lots ?? 1, input.method) * MINUTE;
  const area = areaCm2(container) * count * (input.areaShare ?? 1);
  const path = input.path ?? pathIn(crop, input);
  const forecastAt = (startAt: Millis): Forecast =>
    forecast({
      crop,
      zone: rhythm.zone,
      latitudeDeg: input.latitudeDeg,
      startAt,
      unsoaked: needsSoak(input.crop) && input.soakH === 0,
      stays: [{ from: startAt, place: input.place }],
      carriedTo,
      lightFrom: path.lightFrom,
      domeDays: path.domeDays,
      domeD21: path.domeD21,
      darkDays: path.darkDays,
      shadedUntil: shadedUntil(path, startAt),
      coveredOnD: coveredOnD(path) + path.besideD,
      litAt: null,
      waitH: meanWaitH(rhythm),
      telling: input.telling,
      belief: input.belief ?? NEW_HOUSEHOLD
    });
  const first = soonest(crop, rhythm, aim.kind === 'from' ? Math.max(now, aim.at) : now);
  const soon = forecastAt(first.sowAt);
  const hindered = hindranceOf(
    {
      crop,
      needsLight: path.lightFrom !== null,
      latitudeDeg: input.latitudeDeg,
      zone: rhythm.zone,
      startAt: first.sowAt
    },
    { place: input.place, carriedTo }
  );
  let soak = first;
  let expected = soon;
  let earliestAt: Millis | null = null;
  if (aim.kind === 'by' && !hindered && Number.isFinite(soon.marks.windowOpen.p90)) {
    if (soon.chance('windowOpen', aim.at) < READY_CHANCE)
      earliestAt = lastRoundFrom(rhythm, readyAt(soon, first.sowAt));
    else {
      soak = lastInTime({ ...input, crop, now }, forecastAt, first, aim.at);
      expected = forecastAt(soak.sowAt);
    }
  }
  const yields = input.yields ?? yieldBelief(undefined, crop.key);
  const depth = mediumDepthCm(input.medium, container.depthCm, input.method.mediumDepth);
  return {
    seed: seedAmount(crop, area, input.seedsPerCm2, input.germinationPct ?? undefined),
    path,
    soak,
    forecast: expected,
    mediumMl: mediumVolumeMl(area, depth, input.medium),
    yieldG: standYieldG(crop, area, {
      crowd: input.seedsPerCm2 / crop.seedsPerCm2.usual,
      heat: heatThere(crop, input, soak.sowAt, expected),
      factor: yields
    }),
    yields,
    chance: aim.kind === 'by' ? expected.chance('windowOpen', aim.at) : null,
    earliestAt,
    hindered
  };
}

/** What heat leaves of its yield: by the days at either place, where it is carried. */
function heatThere(
  crop: Crop,
  { place, carriedTo = null }: Pick<PlanInput, 'place' | 'carriedTo'>,
  startAt: Millis,
  { litAt, marks }: Forecast
): number {
  const here = heatFactor(crop, usualAir(place).tempC);
  const opensAt = marks.windowOpen.p50;
  if (!carriedTo || !Number.isFinite(opensAt)) return here;
  const there = heatFactor(crop, usualAir(carriedTo).tempC);
  const share = Math.min(1, (litAt - startAt) / (opensAt - startAt));
  return here * share + there * (1 - share);
}

/** The first last round of a day from a moment on: what is ready at bedtime is for the day after. */
function lastRoundFrom({ zone, roundsMin }: Rhythm, at: Millis): Millis {
  const day = zone.date(at);
  const tonight = zone.at(day, roundsMin.at(-1)!);
  return tonight >= at ? tonight : zone.at(day.add({ days: 1 }), roundsMin.at(-1)!);
}

/** The first moment by which the window is open in eight of ten, to the hour, by halving. */
function readyAt(expected: Forecast, startAt: Millis): Millis {
  let [low, high] = [startAt, expected.marks.windowOpen.p90];
  while (high - low > 3_600_000) {
    const middle = (low + high) / 2;
    if (expected.chance('windowOpen', middle) >= READY_CHANCE) high = middle;
    else low = middle;
  }
  return high;
}

/** The latest start that is still ready in time: stepping back by what the last try was short of. */
function lastInTime(
  input: PlanInput,
  forecastAt: (at: Millis) => Forecast,
  first: SoakPlan,
  by: Millis
): SoakPlan {
  const { crop, rhythm, now } = input;
  let latest = by - (readyAt(forecastAt(first.sowAt), first.sowAt) - first.sowAt);
  for (let tries = 0; tries < 12; tries += 1) {
    const soak = latestBy(crop, rhythm, now, latest);
    if (!soak) return first;
    if (forecastAt(soak.sowAt).chance('windowOpen', by) >= READY_CHANCE) return soak;
    latest = Math.min(latest, soak.sowAt) - DAY / 4;
  }
  return first;
}
