import type { Millis, Zone } from '../time/zone.ts';
import type { PantryItem } from './item.ts';

/** How pressing an item is: it is past its days, goes within a day, or has time. */
export type Urgency = 'past' | 'soon' | 'good';

/** Eat first, so many days before an item's best is over. */
export const WARN_D = 1;

/** Whether an item is past the last day it keeps to: from then on it is no food, and is offered to nobody. */
export const isPast = ({ keepsTo }: Pick<PantryItem, 'keepsTo'>, zone: Zone, now: Millis): boolean =>
  zone.dayNumber(now) > zone.dayNumber(keepsTo);

/** How an item stands on a day of the household. */
export function urgencyOf(item: PantryItem, zone: Zone, now: Millis): Urgency {
  if (isPast(item, zone, now)) return 'past';
  return zone.dayNumber(item.bestBy) - zone.dayNumber(now) <= WARN_D ? 'soon' : 'good';
}

/** Eat-first order: what goes first stands first; of two of one day, what keeps shorter, then the smaller. */
export const eatFirst = (items: readonly PantryItem[]): PantryItem[] =>
  [...items].sort(
    (a, b) => a.bestBy - b.bestBy || a.keepsTo - b.keepsTo || a.left - b.left || (a.id < b.id ? -1 : 1)
  );
