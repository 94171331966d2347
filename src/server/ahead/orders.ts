import type { OrderData } from '../../core/ahead/household.ts';
import { seedOfCrop, type PartData, type SeedData } from '../../core/choice/choiceData.ts';
import type { Rule } from '../../core/ahead/standingOrder.ts';
import type { MediumKind } from '../../core/supplies/media/medium.ts';
import type { Tx } from '../db/connection.ts';
import { soundRows } from '../data/sound.ts';
import { containerOf, soundContainers, type ContainerRow } from '../sowings/containers.ts';

interface OrderRow extends ContainerRow {
  id: string;
  crop_key: string;
  /** Of blended seed: its parts and what their shares are of. */
  parts: PartData[] | null;
  share_of: SeedData['shareOf'];
  count: number;
  medium: MediumKind;
  medium_id: string | null;
  method_key: string;
  place_id: string;
  own_seed_g: number | null;
  rule: Rule;
  from_day: string;
  done: string[];
}

/** The standing orders of the transaction's household, the oldest first, with the days of each that are done with. */
export async function listOrders(tx: Tx): Promise<OrderData[]> {
  const rows = await tx<OrderRow[]>`
    select c.*, o.id, o.crop_key, o.parts, o.share_of, o.count, o.medium, o.medium_id, o.method_key, o.place_id, o.own_seed_g, o.rule,
      to_char(o.from_day, 'YYYY-MM-DD') as from_day,
      coalesce((select array_agg(to_char(d.day, 'YYYY-MM-DD') order by d.day) from standing_order_days d
        where d.household_id = o.household_id and d.order_id = o.id), '{}') as done
    from standing_orders o
    join containers c on c.household_id = o.household_id and c.id = o.container_id
    where o.ended_at is null order by o.created_at, o.id`;
  return soundRows(tx, 'standing_orders', soundContainers(tx, rows)).map((row) => ({
    id: row.id,
    parts: row.parts ?? seedOfCrop(row.crop_key).parts,
    shareOf: row.share_of,
    container: containerOf(row),
    count: row.count,
    medium: row.medium,
    mediumId: row.medium_id,
    methodKey: row.method_key,
    placeId: row.place_id,
    ownSeedG: row.own_seed_g,
    rule: row.rule,
    fromDay: row.from_day,
    done: row.done
  }));
}

/** Whether there is any standing order: the round asks no further where there is none. */
export async function anyOrders(tx: Tx): Promise<boolean> {
  const [row] = await tx<
    { any: boolean }[]
  >`select exists (select from standing_orders where ended_at is null) as any`;
  return row!.any;
}

/** Adds an order or changes it. */
export async function saveOrder(
  tx: Tx,
  householdId: string,
  order: Omit<OrderData, 'container' | 'done'> & { containerId: string }
): Promise<void> {
  const parts = order.parts.length > 1 ? tx.json(order.parts as never) : null;
  await tx`insert into standing_orders (household_id, id, crop_key, parts, share_of, container_id, count, medium, medium_id, method_key,
      place_id, own_seed_g, rule, from_day)
    values (${householdId}, ${order.id}, ${order.parts[0]!.cropKey}, ${parts}, ${order.shareOf}, ${order.containerId}, ${order.count}, ${order.medium},
      ${order.mediumId}, ${order.methodKey}, ${order.placeId}, ${order.ownSeedG}, ${tx.json(order.rule as never)}, ${order.fromDay})
    on conflict (household_id, id) do update set crop_key = excluded.crop_key, parts = excluded.parts, share_of = excluded.share_of, container_id = excluded.container_id,
      count = excluded.count, medium = excluded.medium, medium_id = excluded.medium_id, method_key = excluded.method_key,
      place_id = excluded.place_id, own_seed_g = excluded.own_seed_g, rule = excluded.rule, from_day = excluded.from_day,
      ended_at = null`;
}

/** Ends an order: what was begun of it goes on. */
export async function endOrder(tx: Tx, id: string): Promise<void> {
  await tx`update standing_orders set ended_at = now() where id = ${id} and ended_at is null`;
}

/** A day of an order was begun as a sowing, or is left out; saying it again changes nothing. */
export async function settleOrderDay(
  tx: Tx,
  householdId: string,
  { orderId, day, sowingId }: { orderId: string; day: string; sowingId: string | null }
): Promise<void> {
  await tx`insert into standing_order_days (household_id, order_id, day, sowing_id)
    select ${householdId}, id, ${day}::date, ${sowingId}::uuid from standing_orders where id = ${orderId}
    on conflict do nothing`;
}
