import type { SowingSetup } from './sowing.ts';

type Placed = Pick<SowingSetup, 'container' | 'count' | 'trayNo'>;

/**
 * Whether two sowings stand, or stood, in a container that is one and the same: of a kind by its name, and by the
 * numbers that its containers bear. Where either bears none there is only one of the kind.
 */
export function sharesContainer(a: Placed, b: Placed): boolean {
  if (a.container.name !== b.container.name || a.container.shape !== b.container.shape) return false;
  if (a.trayNo === null || b.trayNo === null) return true;
  return a.trayNo < b.trayNo + b.count && b.trayNo < a.trayNo + a.count;
}
