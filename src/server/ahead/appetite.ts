import { usualAppetiteG, type Eater, type Taste } from '../../core/ahead/appetite.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

/** Who eats greens in the transaction's household, and how much. */
export async function listEaters(tx: Tx): Promise<Eater[]> {
  const rows = await tx<{ id: string; name: string; g_by_weekday: number[] }[]>`
    select id, name, g_by_weekday from eaters order by position, id`;
  return soundRows(tx, 'eaters', rows).map(({ id, name, g_by_weekday }) => ({
    id,
    name,
    gByWeekday: g_by_weekday
  }));
}

/** What it thinks of its crops. */
export async function listTastes(tx: Tx): Promise<Taste[]> {
  const rows = await tx<
    { crop_key: string; taste: Taste['taste']; least_share: number | null; most_share: number | null }[]
  >`select crop_key, taste, least_share, most_share from tastes order by crop_key`;
  return soundRows(tx, 'tastes', rows).map(({ crop_key, taste, least_share, most_share }) => ({
    cropKey: crop_key,
    taste,
    leastShare: least_share,
    mostShare: most_share
  }));
}

/** Weekdays on which nobody has time, 1 for Monday. */
export async function readDaysOff(tx: Tx): Promise<number[]> {
  const [row] = await tx<{ days_off: number[] }[]>`
    select days_off from households where household_id = current_household()`;
  return (row?.days_off ?? []).filter((day) => Number.isInteger(day) && day >= 1 && day <= 7);
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
