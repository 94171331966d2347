import type { Tx } from '../db/connection.ts';

/** Takes away all that the transaction's household wrote down, but for its people and their sign-ins. */
export async function emptyHousehold(tx: Tx): Promise<void> {
  await tx`select empty_household()`;
}
