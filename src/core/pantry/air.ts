import type { Washing } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { HOUR, type Millis } from '../time/zone.ts';

/** Why an hour of air before packing pays. */
export type WhyAir = 'washed' | 'misted' | 'mould-risk';

/** Leaves that were wetted within so long of the cut are still damp. */
const DAMP_H = 12;

/** Whether what is cut is better spread out for an hour before it is packed, and why; null where it is dry enough. */
export function airBeforePacking(
  { state, crop, method }: Pick<Projected, 'state' | 'crop' | 'method'>,
  washing: Washing,
  now: Millis
): WhyAir | null {
  if (washing !== 'unwashed') return 'washed';
  const wetted = state.log.some(
    ({ event, undone }) =>
      !undone &&
      event.at > now - DAMP_H * HOUR &&
      (event.body.type === 'misted' ||
        ((event.body.type === 'watered' || event.body.type === 'fed') && method.lightWater !== 'below'))
  );
  if (wetted) return 'misted';
  return crop.mouldRisk === 'high' ? 'mould-risk' : null;
}
