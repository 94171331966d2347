import { createHash } from 'node:crypto';
import { ordersOf } from '../../core/ahead/household.ts';
import { onOrderOf } from '../../core/ahead/orderReminders.ts';
import type { OnOrder } from '../../core/reminders/reminder.ts';
import { MINUTE } from '../../core/time/zone.ts';
import { anyOrders } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import { Breath } from '../requests/breath.ts';
import { aheadData } from './aheadData.ts';

/** What was laid out for a household is used again for so long, where nothing of what it follows from has changed. */
const FRESH_MS = 10 * MINUTE;
const MOST_CACHED = 200;

const cached = new Map<string, { at: number; onOrder: readonly OnOrder[] }>();

/**
 * What the standing orders of a household lay into the weeks ahead; null where it has none, which costs one short query.
 * Others are answered between two orders.
 */
export async function ordersAhead(tx: Tx): Promise<readonly OnOrder[] | null> {
  if (!(await anyOrders(tx))) return null;
  const data = await aheadData(tx);
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
