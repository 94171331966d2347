import { usualYieldG } from '../growth/yield.ts';
import type { Place } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import { isPressed } from '../sowing/stage.ts';
import type { Millis } from '../time/zone.ts';
import { stackingOf, wetTrayG } from './stack.ts';
import { onScaleG } from './weight.ts';

/** What presses on a sowing, g, as long as something does: of a stack only the uppermost has a weight on it. */
const pressedG = (projected: Projected): number => {
  const { setup, areaCm2: area, path } = projected;
  if (path.cover !== 'stacked') return path.pressGCm2 * area;
  const { stacks, topGCm2 } = stackingOf(projected);
  return topGCm2 * (area / setup.count) * stacks;
};

/** The most that a sowing still comes to weigh where it stands, g: freshly watered and pressed, or grown. */
export function mostWeightG(projected: Projected): number {
  const { setup, crop, areaCm2: area, state } = projected;
  const wetG = wetTrayG(projected) * setup.count * setup.areaShare;
  const presses = state.sownAt === null || state.stage === 'press';
  return wetG + Math.max(presses ? pressedG(projected) : 0, usualYieldG(crop, area).usual);
}

/** What a sowing weighs where it stands, g: what a scale would show, and what presses on it. */
export function sowingWeightG(projected: Projected, now: Millis): number {
  const { state } = projected;
  if (state.sownAt === null || state.stage === 'ended') return 0;
  return onScaleG(projected, now) + (isPressed(projected) ? pressedG(projected) : 0);
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
