import { areaCm2, reservoirMlOf } from '../supplies/containers/container.ts';
import type { Projected } from '../sowing/project.ts';
import type { Standing } from '../sowing/standing.ts';
import { storeOf } from '../water/bucket.ts';
import { dryTrayG } from './weight.ts';

/** Higher than this no stack stands (docs/model.md, 9). */
const MOST_ON_TOP = 6;
/** Trays of the highest stack. */
export const MOST_IN_STACK = MOST_ON_TOP + 1;
/** A grower may go so far over what a crop bears, knowingly. */
const KNOWINGLY = 1.5;

/** What a stack turns on: a sowing that is pressed by trays of its own on top of it. */
type Stacked = Pick<Projected, 'setup' | 'areaCm2' | 'mediumDepthCm' | 'path'>;

/** What one of a sowing's containers weighs as it is sown, wet, g. */
export function wetTrayG(sowing: Stacked): number {
  const { setup, areaCm2: area, mediumDepthCm } = sowing;
  const { firstG } = storeOf(area, mediumDepthCm, setup.medium, reservoirMlOf(setup));
  return (dryTrayG(sowing) + firstG + setup.seedG) / (setup.count * setup.areaShare);
}

/** What a wet tray presses with on the one under it, g per cm2. */
const wetTrayGCm2 = (sowing: Stacked): number => wetTrayG(sowing) / areaCm2(sowing.setup.container);

/**
 * How many wet trays alike may stand on one of a sowing, so that they and the weight on the top one press it with no more than
 * it bears (docs/model.md, 9). 0 where it goes on top or stands alone.
 * @param times what it bears, where a grower goes over that
 */
export function onTopOf(sowing: Stacked, times = 1): number {
  const [least, most] = sowing.path.bearsGCm2;
  return Math.min(MOST_ON_TOP, Math.max(0, Math.floor((times * most - least) / wetTrayGCm2(sowing))));
}

/** The most trays that a grower may choose for a stack of a sowing. */
export const mostInStack = (sowing: Stacked): number => onTopOf(sowing, KNOWINGLY) + 1;

/** How a sowing's trays stand on each other while they press. */
export interface Stacking {
  /** So many stacks, of at most so many trays. */
  stacks: number;
  trays: number;
  /** The weight on each top tray. */
  topGCm2: number;
  /** What presses on the lowest tray of the highest stack: those above it and the weight on the top one. */
  lowestGCm2: number;
  /** What the crop bears. */
  mostGCm2: number;
}

/**
 * The stacks of a sowing's own trays: as few as its seed bears, or as high as the grower chose. The weight on the top one is
 * the middle of what the crop wants, or less where the lowest tray would bear too much.
 */
export function stackingOf(sowing: Stacked): Stacking {
  const { setup, path } = sowing;
  const [least, most] = path.bearsGCm2;
  const high = setup.stackOf ?? onTopOf(sowing) + 1;
  const stacks = Math.ceil(setup.count / Math.min(setup.count, high));
  const trays = Math.ceil(setup.count / stacks);
  const above = (trays - 1) * wetTrayGCm2(sowing);
  const topGCm2 = Math.max(least, Math.min(path.pressGCm2, most - above));
  return { stacks, trays, topGCm2, lowestGCm2: above + topGCm2, mostGCm2: most };
}

/** Whether the stack that was chosen is higher than a grower may go. */
export const isStackTooHigh = (sowing: Stacked): boolean =>
  sowing.path.cover === 'stacked' && (sowing.setup.stackOf ?? 1) > mostInStack(sowing);

/** How many footprints it takes: a stack of trays has one until they are taken apart. */
export function footprints({ sowings: [first] }: Standing): number {
  const { path, state, setup } = first!;
  return path.cover === 'stacked' && state.stage === 'press' ? stackingOf(first!).stacks : setup.count;
}
