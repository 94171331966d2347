import type { AheadData } from '../../core/ahead/household.ts';
import { rhythmOf } from '../../core/sowing/facts.ts';
import { listEaters, listTastes, readDaysOff, readVariety } from '../ahead/appetite.ts';
import { listOrders } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import { readBook } from '../households/book.ts';
import { findHousehold, householdNow } from '../households/household.ts';
import { readPrices } from '../households/prices.ts';
import { listAway } from '../people/away.ts';
import { listChoices } from '../sowings/choices.ts';
import { listKeptContainers } from '../sowings/containers.ts';
import { listInPantry, listLatest, listLocked, listUnderWay } from '../sowings/sowings.ts';

/** All that the weeks ahead of the transaction's household follow from. */
export async function aheadData(tx: Tx): Promise<AheadData> {
  const household = await findHousehold(tx);
  const now = householdNow(household);
  const today = rhythmOf(household).zone.date(now).toString();
  const [
    book,
    records,
    kept,
    choices,
    containers,
    eaters,
    tastes,
    variety,
    away,
    daysOff,
    orders,
    latest,
    locked,
    prices
  ] = await Promise.all([
    readBook(tx),
    listUnderWay(tx),
    listInPantry(tx),
    listChoices(tx),
    listKeptContainers(tx),
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
  const { learned, yields, ownCrops, methods, lots } = choices;
  const { zone, latitudeDeg, wakeMin, sleepMin, roundsMin } = household;
  return {
    household: { zone, latitudeDeg, wakeMin, sleepMin, roundsMin },
    methodKey: household.methodKey,
    book,
    records,
    kept,
    learned,
    yields,
    ownCrops,
    methods,
    lots,
    containers,
    eaters,
    tastes,
    variety,
    away,
    daysOff,
    orders,
    latest,
    locked,
    prices,
    now
  };
}
