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
 * When the shade on a sill comes off: when somebody took it off, else on the day its method names. Null for no shade.
 * @param startAt when it was sown, or is to be
 */
export const shadedUntil = (
  { shadeDays }: Pick<Path, 'shadeDays'>,
  startAt: Millis,
  state?: Pick<SowingState, 'unshadedAt'>
): Millis | null => (shadeDays === null ? null : (state?.unshadedAt ?? startAt + shadeDays * DAY));

/**
 * When its weight or lid came off, or is expected to: once it has rooted, or later where it is pressed for longer or kept covered by
 * choice.
 * @param rootedAt when it has rooted, as it was seen or as it is expected
 */
export const uncoversAt = (
  { path, state, forecast, startAt }: Pick<Projected, 'path' | 'state' | 'forecast' | 'startAt'>,
  rootedAt: Millis
): Millis => {
  const off = state.uncoveredAt ?? (path.blackout ? null : state.litAt);
  if (off !== null) return off;
  const held =
    (path.pressesLate ? (state.pressedAt ?? rootedAt) : rootedAt) +
    (coveredOnD(path) + waitsD(path, state)) * DAY;
  const inLightAt = path.darkDays === null ? null : startAt + path.darkDays * DAY;
  const chosen =
    path.cover === 'clear'
      ? Math.max(held + (path.domeDays ?? 0) * DAY, path.domeD21 === null ? -Infinity : forecast.highAt!)
      : inLightAt === null
        ? held
        : path.blackout
          ? Math.min(held, inLightAt)
          : inLightAt;
  return Math.max(chosen, coveredUntil(state));
};
