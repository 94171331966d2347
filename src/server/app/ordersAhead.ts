import { createHash } from 'node:crypto';
import { ordersOf, type AheadData } from '../../core/ahead/household.ts';
import { onOrderOf } from '../../core/ahead/orderReminders.ts';
import type { OnOrder } from '../../core/reminders/reminder.ts';
import type { Projected } from '../../core/sowing/project.ts';
import { MINUTE } from '../../core/time/zone.ts';
import { anyOrders } from '../ahead/orders.ts';
import type { Tx } from '../db/connection.ts';
import { Breath } from '../requests/breath.ts';
import { aheadData, type KnownOfAhead } from './aheadData.ts';

/** A schedule is used again for so long, if nothing that it follows from has changed. */
const FRESH_MS = 10 * MINUTE;
const MOST_CACHED = 200;

const cached = new Map<string, { at: number; onOrder: readonly OnOrder[] }>();

/**
 * What the standing orders of the transaction's household follow from.
 * @returns null if there are none, which costs one short query
 */
export const orderData = async (tx: Tx, known: KnownOfAhead = {}): Promise<AheadData | null> =>
  (await anyOrders(tx)) ? aheadData(tx, known) : null;

/**
 * What standing orders schedule in the weeks ahead. It needs no connection.
 * @param sowings the household's sowings as they stand; projected where not given
 */
export async function scheduleOf(
  data: AheadData,
  sowings?: readonly Projected[]
): Promise<readonly OnOrder[]> {
  const { now, ...ground } = data;
  const key = createHash('sha256').update(JSON.stringify(ground)).digest('base64');
  const known = cached.get(key);
  if (known && now >= known.at && now - known.at < FRESH_MS) return known.onOrder;
  const { drafts } = await new Breath().through(ordersOf(data, sowings));
  if (cached.size >= MOST_CACHED) cached.clear();
  const onOrder = onOrderOf(drafts);
  cached.set(key, { at: now, onOrder });
  return onOrder;
}
