import { aheadOf, type Ahead } from '../../core/ahead/household.ts';
import { anyOrders } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import { aheadData } from './aheadData.ts';

/** The weeks ahead of a household with standing orders; null where it has none, which costs one short query. */
export const ordersAhead = async (tx: Tx): Promise<Ahead | null> =>
  (await anyOrders(tx)) ? aheadOf(await aheadData(tx)) : null;
