import { coveredOnD, type CoverKind, type Path } from '../supplies/methods/path.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Projected } from './project.ts';
import { coveredUntil, type SowingState, type Stage } from './reduce.ts';

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

/** What lies over it while it roots: a lid gives way to the weight where that comes late. */
export const coverOn = ({ path, state }: Pick<Projected, 'path' | 'state'>): CoverKind =>
  path.pressesLate && state.pressedAt !== null ? 'weight' : path.cover;

/** Whether the weight lies on it now, or is on it from sowing on. */
export const isPressed = ({ path, state }: Pick<Projected, 'path' | 'state'>): boolean =>
  state.stage === 'press' && (!path.pressesLate || state.pressedAt !== null);

/** Extra days until the crop beside it has rooted, too; 0 once somebody saw roots, because both halves are checked together. */
export const waitsD = ({ besideD }: Pick<Path, 'besideD'>, { seen }: Pick<SowingState, 'seen'>): number =>
  seen.some(({ mark, reachedAt }) => mark === 'rooted' && reachedAt !== null) ? 0 : besideD;

/**
 * When its weight or lid came off, or is expected to: once it has rooted, or later where it is pressed for longer or kept covered by
 * choice.
 * @param rootedAt when it has rooted, as it was seen or as it is expected
 */
export const uncoversAt = ({ path, state }: Pick<Projected, 'path' | 'state'>, rootedAt: Millis): Millis =>
  state.uncoveredAt ??
  (path.blackout ? null : state.litAt) ??
  Math.max(
    (path.pressesLate ? (state.pressedAt ?? rootedAt) : rootedAt) +
      (coveredOnD(path) + waitsD(path, state)) * DAY,
    coveredUntil(state)
  );
