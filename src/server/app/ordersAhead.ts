import { createHash } from 'node:crypto';
import { ordersOf, type AheadData } from '../../core/ahead/household.ts';
import { onOrderOf } from '../../core/ahead/orderReminders.ts';
import type { OnOrder } from '../../core/reminders/reminder.ts';
import { MINUTE } from '../../core/time/zone.ts';
import { anyOrders } from '../ahead/orders.ts';
import type { InTransaction, Tx } from '../db/connection.ts';
import { Breath } from '../requests/breath.ts';
import { aheadData } from './aheadData.ts';

/** A schedule is used again for so long, if nothing that it follows from has changed. */
const FRESH_MS = 10 * MINUTE;
const MOST_CACHED = 200;

const cached = new Map<string, { at: number; onOrder: readonly OnOrder[] }>();

/**
 * What the standing orders of a household schedule in the weeks ahead, worked out with no connection held.
 * @returns null if there are none, which costs one short query
 */
export async function ordersAhead(inTx: InTransaction): Promise<readonly OnOrder[] | null> {
  const data = await inTx(orderData);
  return data && scheduleOf(data);
}

/**
 * {@link ordersAhead} of exactly what the transaction sees. Work it out with that first: then it costs only the reading,
 * unless something has changed meanwhile.
 */
export async function ordersAheadIn(tx: Tx): Promise<readonly OnOrder[] | null> {
  const data = await orderData(tx);
  return data && scheduleOf(data);
}

const orderData = async (tx: Tx): Promise<AheadData | null> => ((await anyOrders(tx)) ? aheadData(tx) : null);

async function scheduleOf(data: AheadData): Promise<readonly OnOrder[]> {
  const { now, ...ground } = data;
  const key = createHash('sha256').update(JSON.stringify(ground)).digest('base64');
  const known = cached.get(key);
  if (known && now >= known.at && now - known.at < FRESH_MS) return known.onOrder;
  const { drafts } = await new Breath().through(ordersOf(data));
  if (cached.size >= MOST_CACHED) cached.clear();
  const onOrder = onOrderOf(drafts);
  cached.set(key, { at: now, onOrder });
  return onOrder;
}
