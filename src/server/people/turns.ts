import type { Tx } from '../db/connection.ts';

/** Whose some rounds are, by their keys. */
export async function turnsOf(tx: Tx, roundKeys: readonly string[]): Promise<ReadonlyMap<string, string>> {
  if (roundKeys.length === 0) return new Map();
  const rows = await tx<{ round_key: string; member_id: string }[]>`
    select round_key, member_id from turns where round_key in ${tx(roundKeys)}`;
  return new Map(rows.map(({ round_key, member_id }) => [round_key, member_id]));
}

/** Gives a round to somebody; null gives it back to all. */
export async function setTurn(
  tx: Tx,
  householdId: string,
  { roundKey, memberId, by }: { roundKey: string; memberId: string | null; by: string }
): Promise<void> {
  if (memberId === null) await tx`delete from turns where round_key = ${roundKey}`;
  else
    await tx`insert into turns (household_id, round_key, member_id, set_by)
      values (${householdId}, ${roundKey}, ${memberId}, ${by})
      on conflict (household_id, round_key) do update set member_id = excluded.member_id, set_by = excluded.set_by, set_at = now()`;
  await tx`delete from turns where set_at < now() - interval '60 days'`;
}
