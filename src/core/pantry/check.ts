import { problem, type Problem } from '../problem.ts';
import type { AfterCut } from '../sowing/reduce.ts';
import type { Projected } from '../sowing/project.ts';
import type { Zone } from '../time/zone.ts';
import { pantryOf, unitOfPacking } from './item.ts';

/** Scales and shares round: so much over what is left is all of it. */
const ROUNDING = 0.5;

/** What speaks against taking, throwing out or packing anew some of what is in the pantry; null for nothing. */
export function wrongTaking(sowing: Projected, body: AfterCut['body'], zone: Zone): Problem | null {
  const item = pantryOf(sowing, zone).items.find(({ id }) => id === body.from);
  if (!item) return problem('item-gone');
  if (body.amount > item.left + ROUNDING)
    return problem('item-holds-less', { left: item.left, unit: item.unit });
  if (body.type !== 'packed') return null;
  const most = unitOfPacking(body.packing) === item.unit ? SAME : MOST_JUICE;
  return body.made > body.amount * most ? problem('made-more', { made: body.made, of: body.amount }) : null;
}

/** Nothing weighs more for being frozen or dried, but for what a scale is off by. */
const SAME = 1.02;
/** mL of juice to a g of leaves: water may be pressed with them. */
const MOST_JUICE = 1.5;
