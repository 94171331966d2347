import { smoothStep } from '../crops/height.ts';
import { leafStageOf } from '../crops/leafStage.ts';
import type { Crop } from '../crops/crop.ts';

/** How many true leaves show as the window of a crop opens, by the stage it is cut at. */
const AT_OPENING = { 'seed-leaves': 0, 'true-leaf': 0.8, 'third-leaf': 2.8 } as const;

/** True leaves that show as its window opens; none on what is cut by its height or its tips. */
export const trueLeavesAtOpening = (crop: Crop): number => {
  const stage = leafStageOf(crop);
  return stage === null ? 0 : AT_OPENING[stage];
};

/**
 * How many true leaves a crop shows: none before its seed leaves are open, those it is cut at as its window opens, and one more by
 * the time that closes.
 * @param ageD days at 21 degC since sowing
 */
export function trueLeavesAt(crop: Crop, ageD: number): number {
  const atOpening = trueLeavesAtOpening(crop);
  const seedLeaves = crop.lightReadyD21;
  const before = atOpening * smoothStep((ageD - seedLeaves) / (crop.windowOpenD21 - seedLeaves));
  const since = 0.9 * crop.windowOpenD21;
  return Math.min(3, before + smoothStep((ageD - since) / (crop.windowCloseD21 - since)));
}
