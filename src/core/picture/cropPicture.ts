import { traitsOf } from '../crops/traits.ts';
import type { Crop } from '../crops/crop.ts';
import { habitOf } from './habit.ts';
import { trueLeavesAtOpening } from './leaves.ts';
import type { Picture } from './picture.ts';

/** A crop as it looks when its window is open, in a small tray: for the library. */
export function cropPicture(crop: Crop): Picture {
  return {
    seed: crop.key,
    vessel: 'rectangle',
    widthCm: 14,
    depthCm: 4,
    cells: 1,
    poolCm: 0,
    medium: { kind: 'coir', depthCm: 2.5, moisture: 0.7 },
    grains: null,
    stems: {
      heightCm: (crop.heightMinCm + crop.heightMaxCm) / 2,
      perCm: Math.sqrt(crop.seedsPerCm2.usual),
      open: 1,
      trueLeaf: trueLeavesAtOpening(crop),
      green: traitsOf(crop).staysDark ? 0.1 : 1,
      uneven: 0.06 + crop.durationCv * 0.6,
      hang: 0
    },
    habit: habitOf(crop),
    cover: 'none',
    rulerCm: null,
    light: 'off',
    cut: [],
    jarWater: null,
    lost: false
  };
}
