import type { Place } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import type { Millis } from '../time/zone.ts';
import { loadOf, type Load } from './load.ts';

/** Whether a place may not be loaded so: over its rating, and nobody has said that the rating holds. */
export const isTooHeavy = (place: Place, load: Load): boolean =>
  load.state === 'over' && place.ratingSure !== true;

/** What stands on a place besides what is to be moved. */
export const besideOf = (moving: readonly Projected[], standing: readonly Projected[]): Projected[] =>
  standing.filter(({ setup }) => moving.every((one) => one.setup.id !== setup.id));

/**
 * The rule of every move, wherever it is made: from the shelf, the tray's page, an aim for a day, or a program.
 * @param moving what stands in one container: two halves go together
 * @param standing what stands on the place it is to go to
 * @returns the load that speaks against it; null where nothing does
 */
export function refusedMove(
  moving: readonly Projected[],
  to: Place,
  standing: readonly Projected[],
  now: Millis
): Load | null {
  // Where it stands already it weighs nothing more.
  if (moving.every(({ place }) => place.id === to.id)) return null;
  const load = loadOf(to, [...besideOf(moving, standing), ...moving], now);
  return isTooHeavy(to, load) ? load : null;
}
