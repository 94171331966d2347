import {
  appetiteOf,
  muchEatenG,
  PORTIONS,
  type Appetite,
  type Eater,
  type PortionSize,
  type Taste
} from '../../core/ahead/appetite.ts';
import { NO_WISH, type Variety } from '../../core/ahead/variety.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';
import { listMembers } from '../people/members.ts';

/** Who eats greens in the transaction's household, and how much. */
export async function listEaters(tx: Tx): Promise<Eater[]> {
  const rows = await tx<
    { id: string; name: string; g_by_weekday: number[]; liked: string[]; disliked: string[] }[]
  >`select id, name, g_by_weekday, liked, disliked from eaters order by position, id`;
  return soundRows(tx, 'eaters', rows).map(({ id, name, g_by_weekday, liked, disliked }) => ({
    id,
    name,
    gByWeekday: g_by_weekday,
    liked,
    disliked
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

/** What variety the transaction's household wishes for. */
export async function readVariety(tx: Tx): Promise<Variety> {
  const [row] = await tx<Variety[]>`
    select least_crops as "leastCrops", most_in_row as "mostInRow" from households where household_id = current_household()`;
  return row ?? NO_WISH;
}

/** How many people are in the transaction's household. */
const countPeople = async (tx: Tx): Promise<number> => Math.max(1, (await listMembers(tx)).length);

/** What the household eats on a usual day; a handful each where nobody has said it, null where that is nothing. */
export async function readAppetite(tx: Tx): Promise<Appetite | null> {
  return appetiteOf(await listEaters(tx), await countPeople(tx));
}

/** What each of them would eat a day, g, where that is so much that it is asked back; else null. */
export const askedBackG = async (tx: Tx, eaters: readonly Eater[]): Promise<number | null> =>
  muchEatenG(eaters, await countPeople(tx));

/**
 * Keeps one portion a day for each of a household of which nobody has said what it eats. Sending it again changes nothing.
 * @param id of whom it is kept as, all of them together
 * @returns whether it was kept; what was said meanwhile stays
 */
export async function savePortion(
  tx: Tx,
  householdId: string,
  { id, portion }: { id: string; portion: PortionSize }
): Promise<boolean> {
  const others = (await listEaters(tx)).filter((eater) => eater.id !== id);
  if (others.length > 0) return false;
  const g = PORTIONS[portion] * (await countPeople(tx));
  await tx`delete from eaters`;
  await tx`insert into eaters (household_id, id, name, g_by_weekday, position)
    values (${householdId}, ${id}, 'All of us', ${tx.json(Array.from({ length: 7 }, () => g))}, 0)`;
  return true;
}

/** Keeps all of it as it is sent, in place of what there was. */
export async function saveAppetite(
  tx: Tx,
  householdId: string,
  {
    eaters,
    tastes,
    variety,
    daysOff
  }: { eaters: readonly Eater[]; tastes: readonly Taste[]; variety: Variety; daysOff: readonly number[] }
): Promise<void> {
  await tx`delete from eaters`;
  for (const [position, { id, name, gByWeekday, liked = [], disliked = [] }] of eaters.entries())
    await tx`insert into eaters (household_id, id, name, g_by_weekday, liked, disliked, position)
      values (${householdId}, ${id}, ${name}, ${tx.json([...gByWeekday])}, ${tx.json([...liked])}, ${tx.json([...disliked])}, ${position})`;
  await tx`delete from tastes`;
  for (const { cropKey, taste, leastShare, mostShare } of tastes)
    await tx`insert into tastes (household_id, crop_key, taste, least_share, most_share)
      values (${householdId}, ${cropKey}, ${taste}, ${leastShare}, ${mostShare})`;
  await tx`update households set days_off = ${[...new Set(daysOff)].sort()}, least_crops = ${variety.leastCrops},
    most_in_row = ${variety.mostInRow} where household_id = current_household()`;
}
