import { areaCm2, reservoirMlOf } from '../supplies/containers/container.ts';
import type { Projected } from '../sowing/project.ts';
import { storeOf } from '../water/bucket.ts';
import { dryTrayG } from './load.ts';

/** Higher than this no stack stands (docs/model.md, 9). */
const MOST_ON_TOP = 6;

/** What one of a sowing's containers weighs as it is sown, wet, g. */
function wetTrayG(sowing: Projected): number {
  const { setup, areaCm2: area, mediumDepthCm } = sowing;
  const { firstG } = storeOf(area, mediumDepthCm, setup.medium, reservoirMlOf(setup));
  return (dryTrayG(sowing) + firstG + setup.seedG) / (setup.count * setup.areaShare);
}

/**
 * How many wet trays alike may stand on one of a sowing: what its seed bears over what each weighs on a cm2
 * (docs/model.md, 9). 0 where it goes on top or stands alone.
 */
export const onTopOf = (sowing: Projected): number =>
  Math.min(
    MOST_ON_TOP,
    Math.floor(sowing.path.bearsGCm2[1] / (wetTrayG(sowing) / areaCm2(sowing.setup.container)))
  );
