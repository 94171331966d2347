import type { Tx } from '../db/connection.ts';

/** Grams of greens that the transaction's household eats a day; null where nobody has said. */
export async function readAppetite(tx: Tx): Promise<number | null> {
  const [row] = await tx<{ appetite_g: number | null }[]>`
    select appetite_g from households where household_id = current_household()`;
  return row?.appetite_g ?? null;
}

export async function changeAppetite(tx: Tx, appetiteGD: number | null): Promise<void> {
  await tx`update households set appetite_g = ${appetiteGD} where household_id = current_household()`;
}
