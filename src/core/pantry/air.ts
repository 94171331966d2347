import type { SowingEvent, Washing } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { standsSince } from '../sowing/stage.ts';
import { hasPool } from '../supplies/media/below.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import { hasReservoir } from '../water/bucket.ts';

/** Why an hour of air before packing pays. */
export type WhyAir = 'washed' | 'misted' | 'mould-risk';

/** Leaves that were wetted within so long of the cut are still damp. */
const DAMP_H = 12;

/** Whether what is cut is better spread out for an hour before it is packed, and why; null where it is dry enough. */
export function airBeforePacking(
  sowing: Pick<Projected, 'state' | 'crop' | 'method' | 'setup' | 'path' | 'forecast' | 'firstGrowth'>,
  washing: Washing,
  now: Millis
): WhyAir | null {
  const { state, crop } = sowing;
  if (washing !== 'unwashed') return 'washed';
  const wetted = state.log.some(
    ({ event, undone }) => !undone && event.at > now - DAMP_H * HOUR && wetsLeaves(sowing, event)
  );
  if (wetted) return 'misted';
  return crop.mouldRisk === 'high' ? 'mould-risk' : null;
}

/** Whether something that was done wetted leaves: a mist or a spray, and water that was given from above. */
function wetsLeaves(
  sowing: Pick<Projected, 'state' | 'method' | 'setup' | 'path' | 'forecast' | 'firstGrowth'>,
  { at, body }: SowingEvent
): boolean {
  if (body.type === 'misted' || body.type === 'sprayed') return true;
  if (body.type !== 'watered' && body.type !== 'fed') return false;
  const { method, setup, state } = sowing;
  if (hasReservoir(setup) || hasPool(setup.medium)) return false;
  if (method.lightWater !== 'first-above') return method.lightWater !== 'below';
  const since = standsSince(sowing);
  const first = state.water.find((fact) => 'addedG' in fact && !fact.onLeaves && fact.at >= since);
  return first?.at === at;
}
