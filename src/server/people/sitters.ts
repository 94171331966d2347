import { outside, type Tx } from '../db/connection.ts';
import { newToken } from '../sessions/sessions.ts';
import { tokenHash } from '../sessions/tokenHash.ts';

/** Whoever looks after the trays for some days. Times are the household's. */
export interface Sitter {
  id: string;
  name: string;
  fromAt: number;
  untilAt: number;
}

/** Asks somebody in. @returns the token of their address, which is kept nowhere; null where they are there already */
export async function addSitter(
  tx: Tx,
  householdId: string,
  { id, name, fromAt, untilAt }: Sitter,
  madeBy: string
): Promise<string | null> {
  const token = newToken();
  const { count } = await tx`
    insert into sitters (household_id, id, name, token_hash, from_at, until_at, made_by)
    values (${householdId}, ${id}, ${name}, ${tokenHash(token)}, ${new Date(fromAt)}, ${new Date(untilAt)}, ${madeBy})
    on conflict do nothing`;
  return count > 0 ? token : null;
}

const sitterOf = (row: { id: string; name: string; from_at: Date; until_at: Date }): Sitter => ({
  id: row.id,
  name: row.name,
  fromAt: row.from_at.getTime(),
  untilAt: row.until_at.getTime()
});

/** Whose address still works at a moment, the household's time. */
export async function listSitters(tx: Tx, now: number): Promise<Sitter[]> {
  const rows = await tx<{ id: string; name: string; from_at: Date; until_at: Date }[]>`
    select id, name, from_at, until_at from sitters
    where revoked_at is null and until_at > ${new Date(now)} order by from_at, name`;
  return rows.map(sitterOf);
}

export async function findSitter(tx: Tx, id: string): Promise<Sitter | null> {
  const [row] = await tx<{ id: string; name: string; from_at: Date; until_at: Date }[]>`
    select id, name, from_at, until_at from sitters where id = ${id}`;
  return row ? sitterOf(row) : null;
}

/** Takes an address away: it shows nothing from then on. What was ticked stays. */
export async function revokeSitter(tx: Tx, id: string): Promise<void> {
  await tx`update sitters set revoked_at = now() where id = ${id} and revoked_at is null`;
}

/** Whose address a token is; null for one that is worth nothing, or whose days are over. */
export async function openSitter(token: string): Promise<{ householdId: string; sitterId: string } | null> {
  const [row] = await outside(
    (sql) => sql<{ household_id: string; sitter_id: string }[]>`
      select household_id, sitter_id from open_sitter(${tokenHash(token)})`
  );
  return row ? { householdId: row.household_id, sitterId: row.sitter_id } : null;
}
