import { areaCm2, reservoirMlOf } from '../supplies/containers/container.ts';
import type { Projected } from '../sowing/project.ts';
import type { Standing } from '../sowing/standing.ts';
import { storeOf } from '../water/bucket.ts';
import { dryTrayG } from './weight.ts';

/** Higher than this no stack stands (docs/model.md, 9). */
const MOST_ON_TOP = 6;

/** What one of a sowing's containers weighs as it is sown, wet, g. */
export function wetTrayG(sowing: Projected): number {
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

/** How a sowing's trays stand on each other while they press: so many stacks, of at most so many trays. */
export interface Stacks {
  stacks: number;
  trays: number;
}

/** The stacks of a sowing's own trays, as few as its seed bears. */
export function stacksOf(sowing: Projected): Stacks {
  const { count } = sowing.setup;
  const stacks = Math.ceil(count / Math.min(count, onTopOf(sowing) + 1));
  return { stacks, trays: Math.ceil(count / stacks) };
}

/** How many footprints it takes: a stack of trays has one until they are taken apart. */
export function footprints({ sowings: [first] }: Standing): number {
  const { path, state, setup } = first!;
  return path.cover === 'stacked' && state.stage === 'press' ? stacksOf(first!).stacks : setup.count;
}
