import { joined, type Period } from '../../core/away/period.ts';
import type { Tx } from '../db/connection.ts';

/** Days on which nobody is at home, that are not over at a day. */
export async function listAway(tx: Tx, today: string): Promise<Period[]> {
  return tx<Period[]>`
    select to_char(from_day, 'YYYY-MM-DD') as "fromDay", to_char(until_day, 'YYYY-MM-DD') as "untilDay"
    from away where until_day >= ${today}::date - 1 order by from_day`;
}

/** Marks days away; what meets or overlaps with others becomes one with them. */
export async function addAway(tx: Tx, householdId: string, period: Period, today: string): Promise<void> {
  await tx`select from households for no key update`;
  const all = joined([...(await listAway(tx, today)), period]);
  await tx`delete from away where until_day >= ${today}::date - 1`;
  for (const { fromDay, untilDay } of all)
    await tx`insert into away (household_id, from_day, until_day) values (${householdId}, ${fromDay}, ${untilDay})`;
}

/** Somebody stays after all. */
export async function removeAway(tx: Tx, fromDay: string): Promise<void> {
  await tx`delete from away where from_day = ${fromDay}::date`;
}
