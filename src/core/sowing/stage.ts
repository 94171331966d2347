import type { Millis } from '../time/zone.ts';
import type { Projected } from './project.ts';
import type { Stage } from './reduce.ts';

type Staged = Pick<Projected, 'state' | 'path' | 'forecast' | 'firstGrowth'>;

/**
 * From when it stands in light as a growing stand: since it was brought there, or, sown in the open, since it rooted.
 * Infinity while that is still to come by a step of somebody's.
 */
export const standsSince = ({ state, path, forecast, firstGrowth }: Staged): Millis =>
  state.litAt ??
  (path.cover === 'none' && state.sownAt !== null ? (firstGrowth ?? forecast).marks.rooted.p50 : Infinity);

/** The stage it is in: as its events say, but that what was sown in the open needs no step to be in light. */
export const stageAt = (sowing: Staged, now: Millis): Stage =>
  sowing.state.stage === 'press' && now >= standsSince(sowing) ? 'light' : sowing.state.stage;

/** Whether it sprouts with nothing over it. */
export const isOpen = ({ path }: Pick<Projected, 'path'>): boolean => path.cover === 'none';
