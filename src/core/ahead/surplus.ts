import type { PantryItem } from '../pantry/item.ts';
import type { Rhythm } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';
import { appetiteOn, type Eater } from './appetite.ts';
import type { Period } from '../away/period.ts';
import { eatSupply } from './eat.ts';
import { horizonFrom } from './horizon.ts';
import { pantrySupply } from './supply.ts';

/** What of an item would not be eaten in its days, g. */
export interface Surplus {
  item: PantryItem;
  g: number;
}

/** Less than this is a mouthful, g. */
const MOUTHFUL_G = 5;
/** So far ahead greens keep at most. */
const DAYS = 21;

/**
 * What of the pantry is more than is eaten before it is past its days: to be given while it is good. What goes first is eaten
 * first, as the list says.
 */
export function surplusOf(
  items: readonly PantryItem[],
  eaters: readonly Eater[],
  away: readonly Period[],
  rhythm: Rhythm,
  now: Millis
): Surplus[] {
  const horizon = horizonFrom(rhythm, now, DAYS);
  const appetiteG = appetiteOn(eaters, horizon, away);
  if (appetiteG.every((g) => g === 0)) return [];
  const leftOver = items.flatMap((item) => {
    const supply = pantrySupply(item, horizon, rhythm, now);
    return supply ? [{ item, supply }] : [];
  });
  const thrown = leftOver.map(() => 0);
  eatSupply(
    {
      days: DAYS,
      appetiteG,
      // Each item by itself, so that it is known of which there is too much.
      crops: leftOver.map(({ item }) => ({ key: item.id, leastShare: 0, mostShare: 1, liked: 0 }))
    },
    leftOver.map(({ supply }) => supply),
    {
      onDay: (_day, _missing, { thrown: past }) => past.forEach((g, index) => (thrown[index]! += g))
    }
  );
  return leftOver.flatMap(({ item }, index) =>
    thrown[index]! > MOUTHFUL_G ? [{ item, g: thrown[index]! }] : []
  );
}
