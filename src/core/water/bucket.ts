import type { Crop } from '../crops/crop.ts';
import { WATER_HELD, type MediumKind } from '../medium/medium.ts';
import { vpdKpa } from './vpd.ts';

/** Water loss in mm a day per kPa, by what lies over the medium (starting figures). */
export const LOSS_MM_KPA = { covered: 0.15, germinating: 1.2, canopy: 3.2, lastThird: 3.8 } as const;
export type Cover = keyof typeof LOSS_MM_KPA;

/** Moving air dries this much faster. */
export const FAN = 1.3;

/** A fine mist over seed, mL per cm2 (starting figure). */
const MIST_ML_CM2 = 0.02;

/** Water for misting an area once, mL. */
export const mistMl = (areaCm2: number): number => areaCm2 * MIST_ML_CM2;

/** Never filled past this share of capacity: overwatering is the commonest way to lose a tray. */
export const FULL_SHARE = 0.9;

/** Share of capacity under which a crop is watered. */
export function dryShare(crop: Crop): number {
  return { high: 0.6, medium: 0.45, low: 0.35 }[crop.droughtRisk];
}

/** Plant-available water that a medium holds, in g. */
export function capacityG(areaCm2: number, depthCm: number, medium: MediumKind): number {
  return areaCm2 * depthCm * WATER_HELD[medium];
}

/** Water lost in g a day from an area in cm2 (model, section 6): 1 mm over 1 m2 is 1 kg. */
export function lossGPerDay(
  areaCm2: number,
  cover: Cover,
  air: { tempC: number; humidityPct: number; movingAir: boolean }
): number {
  const mm = LOSS_MM_KPA[cover] * vpdKpa(air.tempC, air.humidityPct) * (air.movingAir ? FAN : 1);
  return (mm * areaCm2) / 10;
}

/** How a medium looks, as the interval of capacity it stands for; dry is drier than any crop is kept. */
export const MOISTURE = { dry: [0, 0.3], right: [0.45, 0.85], wet: [0.85, 1] } as const;
export type Moisture = keyof typeof MOISTURE;

/** The share nearest to what was computed that agrees with a look. */
export function heldTo(share: number, moisture: Moisture): number {
  const [low, high] = MOISTURE[moisture];
  return Math.min(high, Math.max(low, share));
}
