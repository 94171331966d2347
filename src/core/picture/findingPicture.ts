import type { Crop } from '../crops/crop.ts';
import { readyCue, type Finding } from '../harvest/ready.ts';
import { cropPicture } from './cropPicture.ts';
import { trueLeavesAtOpening } from './leaves.ts';
import type { Picture } from './picture.ts';

/** How tall and how open a crop stands, too early, ready, and past its best; and how many true leaves more than at its cue. */
const STANDS: Record<Finding, { height: number; open: number; leaves: number }> = {
  'not-yet': { height: 0.62, open: 0.3, leaves: -1.6 },
  ready: { height: 1, open: 1, leaves: 0 },
  past: { height: 1.2, open: 1, leaves: 1 }
};

/** A crop as it looks where its cue is looked for: to be held beside the tray. */
export function findingPicture(crop: Crop, finding: Finding): Picture {
  const picture = cropPicture(crop);
  const cue = readyCue(crop);
  const { height, open, leaves } = STANDS[finding];
  const leafIsCue = cue === 'true-leaf' || cue === 'third-leaf';
  return {
    ...picture,
    seed: `${crop.key}-${finding}`,
    widthCm: 9,
    cover: cue === 'dome-lifting' && finding === 'not-yet' ? 'dome' : 'none',
    stems: {
      ...picture.stems!,
      perCm: Math.min(1.1, picture.stems!.perCm),
      heightCm: picture.stems!.heightCm * height,
      open: leafIsCue && finding === 'not-yet' ? 1 : open,
      trueLeaf: Math.max(0, Math.min(3, trueLeavesAtOpening(crop) + leaves))
    }
  };
}
