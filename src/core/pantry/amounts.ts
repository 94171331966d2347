import type { PantryItem } from './item.ts';

/** A handful of greens, g (starting figure). */
const HANDFUL_G = 20;

/** A touch that takes something out: how much, and by what name. */
export interface Portioned {
  kind: 'handful' | 'portion' | 'half' | 'all';
  amount: number;
}

/** What can be taken of an item by one touch, the smallest first. */
export function touchesOf({ left, unit, portion }: PantryItem): Portioned[] {
  const touches: Portioned[] = [];
  const small = portion ?? (unit === 'g' ? HANDFUL_G : null);
  if (small !== null && small < left)
    touches.push({ kind: portion === null ? 'handful' : 'portion', amount: small });
  if (left / 2 > (small ?? 0)) touches.push({ kind: 'half', amount: left / 2 });
  touches.push({ kind: 'all', amount: left });
  return touches;
}

/** Less of a portion than this is no rest worth naming. */
const SMALL_REST = 0.08;

/** How many whole portions there are, and what is left over; next to nothing, over or short, counts as none. */
export function portionsOf(amount: number, portion: number): { whole: number; rest: number } {
  const near = Math.round(amount / portion);
  if (near > 0 && Math.abs(amount / portion - near) < SMALL_REST) return { whole: near, rest: 0 };
  const whole = Math.floor(amount / portion);
  return { whole, rest: amount - whole * portion };
}

/** The size of portions near a usual one that divide an amount evenly; the whole of it where there is less than that. */
export const evenPortion = (amount: number, usual: number): number =>
  amount / Math.max(1, Math.round(amount / usual));

/** Juice that a g of grass gives, mL (starting figure of ours); what was pressed before counts for more. */
export const JUICE_ML_G = 0.6;
/** More than this, with water in it, is a slip of the finger (starting figure of ours). */
export const MOST_JUICE_ML_G = 1.5;
/** Weight that greens keep when dried (starting figure of ours). */
export const DRIED_SHARE = 0.12;
/** A portion of juice, mL, and of greens for the freezer, g (starting figures of ours). */
export const PORTION = { juiceMl: 30, frozenG: 40 } as const;
