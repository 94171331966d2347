import { frontWidthCm, type Shape } from '../supplies/containers/container.ts';
import type { CoverKind } from '../supplies/methods/path.ts';
import { coverOn, stageAt, standsSince } from '../sowing/stage.ts';
import type { MediumKind } from '../supplies/media/medium.ts';
import type { Projected } from '../sowing/project.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import { mayBeLost, TOUCH_SHARE } from '../water/dry.ts';
import { trackOf, waterAt } from '../water/level.ts';
import { smoothStep as smooth, stemHeightCm } from '../crops/height.ts';
import { tableOptimumDays, tableRate } from '../growth/marks.ts';
import { trueLeavesAt } from './leaves.ts';
import { frontCut } from '../harvest/pieces.ts';
import { habitOf, type Habit } from './habit.ts';

/** What a sowing should look like from the side, for the one component that draws it. Sizes in cm. */
export interface Picture {
  /** Fixes the small irregularities, so that a tray keeps its face. */
  seed: string;
  vessel: 'jar' | Shape;
  widthCm: number;
  depthCm: number;
  cells: number;
  medium: { kind: MediumKind; depthCm: number; moisture: number } | null;
  /** How deep water stands in the tray under a thin medium, or in a bare tray; 0 for none. */
  poolCm: number;
  /** Seed on the medium or in the jar: how big, how many to a cm of front, how far sprouted (0 to 1). */
  grains: { sizeCm: number; perCm: number; sprouted: number } | null;
  stems: {
    heightCm: number;
    perCm: number;
    /** 0 folded to 1 open. */ open: number;
    /** How many are out, the last one as far as it is: 0 to 3. */ trueLeaf: number;
    /** 0 pale to 1 green. */ green: number;
    uneven: number;
    /** How far they hang for want of water: 0 upright, 1 over the rim. */
    hang: number;
  } | null;
  habit: Habit;
  cover: CoverKind | 'dome';
  /** How high over the medium stems are to stand for the cover to come off, cm, where it goes by that and is on; null for no ruler. */
  rulerCm: number | null;
  light: 'off' | 'lamp' | 'sill';
  /** Share already cut of each slice of its front, left to right: of a strip all or none, of two cells one behind the other half as well. */
  cut: readonly number[];
  /** Water in the jar, 0 to 1; null outside a jar. */
  jarWater: number | null;
  lost: boolean;
}

/** Diameter of a seed in cm taken as a sphere of 1.1 g per mL. */
const grainCm = (thousandSeedWeightG: number): number =>
  2 * Math.cbrt((3 * thousandSeedWeightG) / (1000 * 1.1 * 4 * Math.PI));

/** The pictures of what stands in one container: one, or two halves beside each other under one cover. */
export function picturesOf(
  sowings: readonly Projected[],
  now: Millis
): readonly [first: Picture, beside?: Picture] {
  const [first, beside] = sowings.map((sowing) => pictureOf(sowing, now));
  // A half that is not sown yet soaks elsewhere: what stands in the container is drawn.
  if (first && beside && first.vessel !== beside.vessel) return [first.vessel === 'jar' ? beside : first];
  return beside ? [first!, beside] : [first!];
}

/** The expected picture of a sowing at a moment. */
export function pictureOf(projected: Projected, now: Millis): Picture {
  const { setup, crop, state } = projected;
  const inJar =
    state.stage === 'soak' ||
    state.stage === 'drain' ||
    (state.stage === 'prepare' && projected.soak.soakStart !== null);
  const sizeCm = Math.max(0.12, grainCm(crop.thousandSeedWeightG));
  const base = {
    seed: setup.id,
    habit: habitOf(crop),
    cells: setup.container.cells,
    lost: state.lost !== null
  };
  if (inJar)
    return {
      ...base,
      vessel: 'jar',
      widthCm: 9,
      depthCm: 13,
      medium: null,
      poolCm: 0,
      grains: { sizeCm, perCm: 0, sprouted: 0 },
      stems: null,
      cover: 'none',
      rulerCm: null,
      light: 'off',
      cut: [],
      jarWater: state.stage === 'soak' ? 0.8 : state.stage === 'drain' ? 0.05 : 0
    };
  return {
    ...base,
    vessel: setup.container.shape,
    widthCm: frontWidthCm(setup.container),
    depthCm: setup.container.depthCm,
    medium: {
      kind: setup.medium,
      depthCm: projected.mediumDepthCm,
      moisture: state.sownAt === null ? 0.7 : waterAt(projected, now).share
    },
    poolCm: poolCmOf(projected, now),
    ...plants(projected, now, sizeCm),
    cover: coverOf(projected, now),
    rulerCm: rulerOf(projected, now),
    light: lightOf(projected, now),
    cut: frontCut(setup, state),
    jarWater: null
  };
}

/** What stands over what the medium itself holds; of a reservoir nothing is seen from the side. */
function poolCmOf(projected: Projected, now: Millis): number {
  if (projected.state.sownAt === null) return 0;
  const { g, isPool } = waterAt(projected, now);
  return isPool ? Math.max(0, g - trackOf(projected).mediumG) / projected.areaCm2 : 0;
}

function plants(projected: Projected, now: Millis, sizeCm: number): Pick<Picture, 'grains' | 'stems'> {
  const { state, crop, setup, forecast } = projected;
  if (state.sownAt === null) return { grains: null, stems: null };
  const at = Math.min(now, state.endedAt ?? now);
  const pace = paceOf(projected);
  const table = tableOptimumDays(crop);
  const rate = tableRate(crop);
  const age = forecast.clock.tau(at) / pace;
  const sprouted = smooth(age / table.rooted);
  const perCm = Math.sqrt(setup.seedsPerCm2);
  const darkD = tooLongDarkD(projected, at);
  // In the dark it goes on growing where its clock does not: long, thin and pale.
  const stretched = 1 + Math.min(MOST_STRETCHED, STRETCH_A_DAY * darkD);
  const past = smooth((age - table.windowBest) / (table.windowClose - table.windowBest));
  const free =
    Math.max(
      crop.heightMinCm * 0.8 * Math.min(1, darkD / STRETCHED_AFTER_D),
      stemHeightCm(crop, age / rate)
    ) *
    stretched *
    (1 + 0.25 * past);
  // What lies on it holds it down.
  const { cover } = projected.path;
  const under = stageAt(projected, at) === 'press' && cover !== 'none' && cover !== 'clear';
  const heightCm = under ? Math.min(free, UNDER_COVER_CM) : free;
  const litFor = Math.max(0, at - standsSince(projected)) / DAY;
  return {
    grains: heightCm < 2.5 ? { sizeCm, perCm, sprouted } : null,
    stems:
      heightCm < 0.15
        ? null
        : {
            heightCm,
            perCm,
            open: smooth((age - table.rooted) / (table.windowOpen - table.rooted)),
            trueLeaf: trueLeavesAt(crop, age / rate),
            green: smooth(0.12 + litFor / 2),
            // What is long leans on its neighbours, and what is overgrown stands every which way.
            uneven: 0.06 + crop.durationCv * 0.6 + 0.3 * (stretched - 1) + 0.15 * past,
            hang: hangOf(projected, now)
          }
  };
}

/** After so many days too long in the dark it is nearly as high as it is cut in light (starting figure). */
const STRETCHED_AFTER_D = 2;
/** How much a day too long in the dark adds to its height, and how much that ever is (starting figures). */
const STRETCH_A_DAY = 0.14;
const MOST_STRETCHED = 0.7;

/** No higher than this do stems stand under a lid or a weight. */
const UNDER_COVER_CM = 1.5;

/** Days that a crop meant for light has stood, or stood, in the dark after its stems were even. */
function tooLongDarkD({ path, state, forecast }: Projected, at: Millis): number {
  if (path.lightFrom === null || path.lightFrom === 'sown' || state.sownAt === null) return 0;
  return Math.max(0, (state.litAt ?? at) - forecast.marks.lightReady.p50) / DAY;
}

/** So long what was seen of stems holds. */
const SEEN_MS = 4 * HOUR;

/** Stems begin to hang as the last of it goes, and lie once it has stood dry for longer than they bear. */
function hangOf(projected: Projected, now: Millis): number {
  if (projected.state.stage === 'ended') return 0;
  const { share, capacityG } = waterAt(projected, now);
  if (capacityG === 0) return 0;
  if (mayBeLost(projected, now)) return 1;
  // Whoever has just looked at its stems saw them stand, or said that they do not.
  const { looks, sights } = projected.state;
  const lately = ({ at }: { at: Millis }) => at <= now && now - at < SEEN_MS;
  if (looks.some(lately) && !sights.some((one) => one.sight === 'fallen-dry' && lately(one))) return 0;
  return 0.6 * (1 - Math.min(1, share / TOUCH_SHARE));
}

/** How slow this sowing is against the table, as its forecast believes it: 1 is by the book. */
function paceOf({ forecast, crop }: Projected): number {
  const { windowOpen, windowClose } = forecast.marks;
  const mark = windowOpen.seen ? 'windowClose' : 'windowOpen';
  const expected = forecast.clock.tau((mark === 'windowOpen' ? windowOpen : windowClose).p50);
  const pace = expected / tableOptimumDays(crop)[mark];
  return Number.isFinite(pace) && pace > 0 ? pace : 1;
}

function coverOf(sowing: Projected, now: Millis): Picture['cover'] {
  const stage = stageAt(sowing, now);
  if (sowing.state.sownAt === null || stage === 'light' || stage === 'ended') return 'none';
  return stage === 'blackout' ? 'dome' : coverOn(sowing);
}

/** A ruler stands in what is sown and covered until its stems are that high. */
function rulerOf(sowing: Projected, now: Millis): number | null {
  const cover = coverOf(sowing, now);
  return sowing.state.sownAt !== null && (cover === 'clear' || cover === 'dome')
    ? sowing.path.domeStemCm
    : null;
}

function lightOf({ state, forecast, place }: Projected, now: Millis): Picture['light'] {
  const lit =
    state.litAt !== null || (state.sownAt !== null && forecast.litAt === state.sownAt && now >= state.sownAt);
  return lit && state.stage !== 'ended' && place.light.kind !== 'dark' ? place.light.kind : 'off';
}
