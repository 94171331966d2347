import type { Crop } from './crop.ts';

/** Stages that leaves are cut at, in the order they come. */
export const LEAF_STAGES = ['seed-leaves', 'true-leaf', 'third-leaf'] as const;
export type LeafStage = (typeof LEAF_STAGES)[number];

/** How long each stage takes to open, against open seed leaves (starting figures). */
const AGE: Readonly<Record<LeafStage, number>> = { 'seed-leaves': 1, 'true-leaf': 1.5, 'third-leaf': 2.2 };
/** A stand gains height and weight more slowly than it ages: powers of the ratio of ages (starting figures). */
const GAINS = { height: 0.5, weight: 0.7 } as const;

/** The stage a crop is usually cut at; null for one that is cut by its height or its tips. */
export function leafStageOf({ harvestCue }: Pick<Crop, 'harvestCue'>): LeafStage | null {
  if (harvestCue === 'cotyledon') return 'seed-leaves';
  return harvestCue === 'true-leaf' || harvestCue === 'third-leaf' ? harvestCue : null;
}

const CUE_OF: Readonly<Record<LeafStage, Crop['harvestCue']>> = {
  'seed-leaves': 'cotyledon',
  'true-leaf': 'true-leaf',
  'third-leaf': 'third-leaf'
};

/**
 * A crop that is cut at another stage of its leaves: cue, window, height and yield follow; how it roots and comes to light does
 * not. The window keeps its length in proportion, for older leaves change more slowly.
 * @param stage null, or a stage that the crop has not: the crop as it is
 */
export function cutAtStage(crop: Crop, stage: LeafStage | null): Crop {
  const own = leafStageOf(crop);
  if (stage === null || own === null || own === stage) return crop;
  const ratio = AGE[stage] / AGE[own];
  const openD21 = Math.max(crop.lightReadyD21 + LEAST_LIGHT_D, crop.windowOpenD21 * ratio);
  const after = (days: number): number => openD21 + (days - crop.windowOpenD21) * ratio;
  const taller = ratio ** GAINS.height;
  const heavier = ratio ** GAINS.weight;
  return {
    ...crop,
    harvestCue: CUE_OF[stage],
    windowOpenD21: openD21,
    windowBestD21: after(crop.windowBestD21),
    windowCloseD21: after(crop.windowCloseD21),
    heightMinCm: crop.heightMinCm * taller,
    heightMaxCm: crop.heightMaxCm * taller,
    yieldLowGM2: crop.yieldLowGM2 * heavier,
    yieldMidGM2: crop.yieldMidGM2 * heavier,
    yieldHighGM2: crop.yieldHighGM2 * heavier
  };
}

/** What leaves turn to the longer they grow. */
export type LeafTaste = 'bitter' | 'hot' | 'coarse' | 'strong';

const TASTE_OF_FAMILY: Readonly<Record<string, LeafTaste>> = {
  Amaranthaceae: 'coarse',
  Asteraceae: 'bitter',
  Brassicaceae: 'hot',
  Fabaceae: 'bitter',
  Tropaeolaceae: 'hot'
};

/**
 * What leaves taste of at a stage that comes after the usual one.
 * @param usual the stage that the crop is usually cut at; null where it is not cut by its leaves
 * @returns null for the usual stage or an earlier one
 */
export function laterTaste(
  { family }: Pick<Crop, 'family'>,
  usual: LeafStage | null,
  stage: LeafStage
): LeafTaste | null {
  if (usual === null || LEAF_STAGES.indexOf(stage) <= LEAF_STAGES.indexOf(usual)) return null;
  return TASTE_OF_FAMILY[family] ?? 'strong';
}

/** Nothing is cut sooner than so many days after its stems are even (starting figure). */
const LEAST_LIGHT_D = 1;
