import type { AheadData } from '../../core/ahead/household.ts';
import { rhythmOf } from '../../core/sowing/household.ts';
import { listEaters, listTastes, readDaysOff, readVariety } from '../ahead/appetite.ts';
import { listOrders } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import { readPrices } from '../households/prices.ts';
import { listAway } from '../people/away.ts';
import { listInPantry, listLatest, listLocked, listUnderWay } from '../sowings/sowings.ts';
import { householdOptions, type LoadedOptions } from './householdOptions.ts';

/** What of a household's weeks ahead was read already. */
export type KnownOfAhead = Partial<Pick<AheadData & LoadedOptions, 'household' | 'records' | 'inPantry'>>;

/** All that the weeks ahead of the transaction's household follow from. */
export async function aheadData(tx: Tx, known: KnownOfAhead = {}): Promise<AheadData & LoadedOptions> {
  const options = await householdOptions(tx, known.household);
  const { household, now } = options;
  const today = rhythmOf(household).zone.date(now).toString();
  const [records, inPantry, eaters, tastes, variety, away, daysOff, orders, latest, locked, prices] =
    await Promise.all([
      known.records ?? listUnderWay(tx),
      known.inPantry ?? listInPantry(tx),
      listEaters(tx),
      listTastes(tx),
      readVariety(tx),
      listAway(tx, today),
      readDaysOff(tx),
      listOrders(tx),
      listLatest(tx),
      listLocked(tx),
      readPrices(tx)
    ]);
  return {
    ...options,
    records,
    inPantry,
    eaters,
    tastes,
    variety,
    away,
    daysOff,
    orders,
    latest,
    locked,
    prices
  };
}
