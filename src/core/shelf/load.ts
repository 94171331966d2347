import type { Place } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import type { Millis } from '../time/zone.ts';
import { stacksOf } from './stack.ts';
import { onScaleG } from './weight.ts';

/** What a sowing weighs where it stands, g: what a scale would show, and what presses on it. */
export function sowingWeightG(projected: Projected, now: Millis): number {
  const { setup, areaCm2: area, path, state } = projected;
  if (state.sownAt === null || state.stage === 'ended') return 0;
  // Of a stack only the uppermost has a weight on it.
  const under = path.cover === 'stacked' ? (area / setup.count) * stacksOf(projected).stacks : area;
  const pressed = state.stage === 'press' ? path.pressGCm2 * under : 0;
  return onScaleG(projected, now) + pressed;
}

/** From this share of its rating on, a shelf's load is pointed out. */
const AMBER_SHARE = 0.8;

/** What stands on a place against what it is rated for. */
export interface Load {
  g: number;
  ratedG: number | null;
  /** `over` needs somebody to say that the rating holds. */
  state: 'unrated' | 'fine' | 'amber' | 'over';
}

/** The load of a place with these sowings on it. */
export function loadOf(place: Place, standing: readonly Projected[], now: Millis): Load {
  const g = standing.reduce((sum, projected) => sum + sowingWeightG(projected, now), 0);
  const ratedG = place.ratedG ?? null;
  if (ratedG === null) return { g, ratedG, state: 'unrated' };
  const share = g / ratedG;
  return { g, ratedG, state: share > 1 ? 'over' : share >= AMBER_SHARE ? 'amber' : 'fine' };
}
