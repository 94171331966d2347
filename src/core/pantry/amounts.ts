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

/** Juice that a g of grass gives, mL (starting figure of ours); what was pressed before counts for more. */
export const JUICE_ML_G = 0.6;
/** Weight that greens keep when dried (starting figure of ours). */
export const DRIED_SHARE = 0.12;
/** A portion of juice, mL, and of greens for the freezer, g (starting figures of ours). */
export const PORTION = { juiceMl: 30, frozenG: 40 } as const;
