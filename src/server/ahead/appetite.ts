import { usualAppetiteG, type Eater, type Taste } from '../../core/ahead/appetite.ts';
import type { Tx } from '../db/connection.ts';

/** Who eats greens in the transaction's household, and how much. */
export async function listEaters(tx: Tx): Promise<Eater[]> {
  return tx<Eater[]>`select id, name, g_by_weekday as "gByWeekday" from eaters order by position, id`;
}

/** What it thinks of its crops. */
export async function listTastes(tx: Tx): Promise<Taste[]> {
  return tx<Taste[]>`
    select crop_key as "cropKey", taste, least_share as "leastShare", most_share as "mostShare"
    from tastes order by crop_key`;
}

/** Weekdays on which nobody has time, 1 for Monday. */
export async function readDaysOff(tx: Tx): Promise<number[]> {
  const [row] = await tx<{ days_off: number[] }[]>`
    select days_off from households where household_id = current_household()`;
  return row?.days_off ?? [];
}

/** Grams of greens that the household eats on a usual day; null where nobody has said. */
export async function readAppetite(tx: Tx): Promise<number | null> {
  const eaten = usualAppetiteG(await listEaters(tx));
  return eaten > 0 ? eaten : null;
}

/** Keeps all of it as it is sent, in place of what there was. */
export async function keepAppetite(
  tx: Tx,
  householdId: string,
  {
    eaters,
    tastes,
    daysOff
  }: { eaters: readonly Eater[]; tastes: readonly Taste[]; daysOff: readonly number[] }
): Promise<void> {
  await tx`delete from eaters`;
  for (const [position, { id, name, gByWeekday }] of eaters.entries())
    await tx`insert into eaters (household_id, id, name, g_by_weekday, position)
      values (${householdId}, ${id}, ${name}, ${tx.json([...gByWeekday])}, ${position})`;
  await tx`delete from tastes`;
  for (const { cropKey, taste, leastShare, mostShare } of tastes)
    await tx`insert into tastes (household_id, crop_key, taste, least_share, most_share)
      values (${householdId}, ${cropKey}, ${taste}, ${leastShare}, ${mostShare})`;
  await tx`update households set days_off = ${[...new Set(daysOff)].sort()} where household_id = current_household()`;
}
