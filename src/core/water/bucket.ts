import type { Crop } from '../crops/crop.ts';
import { POOL_CM } from '../supplies/media/below.ts';
import { WATER_HELD, type MediumKind } from '../supplies/media/medium.ts';
import { vpdKpa } from './vpd.ts';

/** Water loss in mm a day per kPa, by what lies over the medium (starting figures). */
export const LOSS_MM_KPA = { covered: 0.15, germinating: 1.2, canopy: 2.1, lastThird: 2.4 } as const;
export type Cover = keyof typeof LOSS_MM_KPA;

/** Moving air dries this much faster. */
const FAN = 1.3;

/** A fine mist, mL per cm2: over seed under a cover; the most of several passes in the open. */
const MIST_ML_CM2 = { covered: 0.02, open: 0.1 } as const;
/** Less wets nothing, mL per cm2. */
export const MIST_LEAST_ML_CM2 = 0.007;
/** What one press of a hand sprayer gives, mL (starting figure). */
const SPRAY_ML = 1;
/** No mist fills a medium past this share of what it holds, but for the least that keeps seed damp. */
const MIST_UP_TO = 0.95;

/** Water for misting an area under a cover once, mL, where there is room for it. */
export const mistMl = (areaCm2: number): number => areaCm2 * MIST_ML_CM2.covered;

/**
 * Water for misting at a moment, mL: under a cover a little, in the open what was lost since the last one; no more than the
 * medium takes, but never less than keeps seed damp on top, at least one spray for each container (docs/model.md, 6).
 * @param lostG since it was last given any
 */
export function mistNowMl(
  areaCm2: number,
  {
    containers,
    covered,
    g,
    holdsG,
    lostG
  }: { containers: number; covered: boolean; g: number; holdsG: number; lostG: number }
): number {
  const wanted = covered ? mistMl(areaCm2) : Math.min(MIST_ML_CM2.open * areaCm2, lostG);
  // What holds nothing itself, as a mesh, is kept damp all the same.
  const room = holdsG > 0 ? MIST_UP_TO * holdsG - g : Infinity;
  const least = Math.max(SPRAY_ML * containers, MIST_LEAST_ML_CM2 * areaCm2);
  return Math.max(least, Math.min(wanted, room));
}

/** Never filled past this share of capacity: overwatering is the commonest way to lose a tray. */
export const FULL_SHARE = 0.9;

/** Share of capacity under which a crop is watered. */
export function dryShare(crop: Pick<Crop, 'droughtRisk'>): number {
  return { high: 0.6, medium: 0.45, low: 0.35 }[crop.droughtRisk];
}

/** Plant-available water that a medium holds, in g. */
export function capacityG(areaCm2: number, depthCm: number, medium: MediumKind): number {
  return areaCm2 * depthCm * WATER_HELD[medium];
}

/** How deep the water stands under a mesh where nobody has measured the reservoir, cm (starting figure). */
const RESERVOIR_CM = 1.5;

/** What a sowing's reservoirs hold, in g: a mesh always stands over one. */
export function reservoirG(
  areaCm2: number,
  medium: MediumKind,
  reservoirMl: number | null | undefined
): number {
  if (reservoirMl) return reservoirMl;
  return medium === 'mesh' ? areaCm2 * RESERVOIR_CM : 0;
}

/**
 * The pool under a thin medium, which holds for hours and not for days, g: no more than goes in the longest gap between two
 * rounds, for what stands longer drowns. None where a reservoir holds more anyway.
 * @param gapLossG what goes in that gap
 */
export function poolG(
  areaCm2: number,
  { medium, reservoirMl }: { medium: MediumKind; reservoirMl: number | null },
  gapLossG: number
): number {
  return reservoirMl ? 0 : Math.min((POOL_CM[medium] ?? 0) * areaCm2, gapLossG);
}

/** A pool is poured for this much more than the expected loss (starting figure). */
const POOL_FOR = 1.2;
/** A little always stands, so that a round that comes late finds it damp. */
const POOL_LEAST = 0.15;

/**
 * The pool that is poured for a stretch that takes so much, g: what the medium cannot give until it is dry. With more of it the
 * mats of a household that loses less than is believed stand in water for days.
 */
export const poolPartG = (crop: Pick<Crop, 'droughtRisk'>, mediumG: number, lossG: number): number =>
  Math.max(POOL_LEAST * lossG, POOL_FOR * lossG - mediumG * (FULL_SHARE - dryShare(crop)));

/** Whether a sowing stands over a reservoir, its container's or the one that a mesh stands over. */
export const hasReservoir = ({
  medium,
  container
}: {
  medium: MediumKind;
  container: { reservoirMl?: number | null };
}): boolean => reservoirG(1, medium, container.reservoirMl) > 0;

/** What a sowing's medium and its reservoirs hold together, in g: the one store that bench, round and forecast go by. */
export interface Store {
  mediumG: number;
  reservoirG: number;
  fullG: number;
  /** What brings it from dry up to where seed is sown on it. */
  firstG: number;
}

/** @param reservoirMl of all its containers together; null where they have none of their own */
export function storeOf(
  areaCm2: number,
  mediumDepthCm: number,
  medium: MediumKind,
  reservoirMl: number | null
): Store {
  const mediumG = capacityG(areaCm2, mediumDepthCm, medium);
  const below = reservoirG(areaCm2, medium, reservoirMl);
  const fullG = mediumG + below;
  return { mediumG, reservoirG: below, fullG, firstG: fullG * FULL_SHARE };
}

/** Topped up where less than this of a reservoir is left by the next round (starting figure). */
export const TOP_SHARE = 0.3;

/** Water lost in g a day from an area in cm2 (docs/model.md, 6): 1 mm over 1 m2 is 1 kg. */
export function lossGPerDay(
  areaCm2: number,
  cover: Cover,
  air: { tempC: number; humidityPct: number; movingAir: boolean }
): number {
  const mm = LOSS_MM_KPA[cover] * vpdKpa(air.tempC, air.humidityPct) * (air.movingAir ? FAN : 1);
  return (mm * areaCm2) / 10;
}

/** How a medium looks, as the interval of capacity it stands for (starting figures); or water still stands under it. */
export const MOISTURE = { dry: [0, 0.36], right: [0.3, 0.92], wet: [0.82, 1], standing: [1, 1] } as const;
export type Moisture = keyof typeof MOISTURE;

/** What a mat holds once it was poured through and has drained, as an interval of capacity (starting figures). */
export const DRAINED = [0.86, 1] as const;

/** How a tray weighs in the hand, which tells more than a look (starting figures). */
export const HEFT = { light: [0, 0.32], right: [0.4, 0.85], heavy: [0.8, 1] } as const;
export type Heft = keyof typeof HEFT;
