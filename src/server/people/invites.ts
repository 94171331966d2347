import { outside, type Tx } from '../db/connection.ts';
import { newToken } from '../sessions/sessions.ts';
import { tokenHash } from '../sessions/tokenHash.ts';

/** An invitation lasts so long, and for one person. */
export const INVITE_DAYS = 7;

/** An invitation that nobody has taken yet. */
export interface Invite {
  id: string;
  expiresAt: number;
}

/** Makes an invitation. @returns its token, which is kept nowhere; null where it is there already */
export async function addInvite(
  tx: Tx,
  householdId: string,
  memberId: string,
  id: string
): Promise<string | null> {
  const token = newToken();
  const { count } = await tx`
    insert into invites (household_id, id, token_hash, made_by, expires_at)
    values (${householdId}, ${id}, ${tokenHash(token)}, ${memberId}, now() + make_interval(days => ${INVITE_DAYS}))
    on conflict do nothing`;
  return count > 0 ? token : null;
}

/** Invitations that can still be taken. */
export async function listInvites(tx: Tx): Promise<Invite[]> {
  const rows = await tx<{ id: string; expires_at: Date }[]>`
    select id, expires_at from invites where used_at is null and expires_at > now() order by created_at`;
  return rows.map(({ id, expires_at }) => ({ id, expiresAt: expires_at.getTime() }));
}

/** Takes an invitation back. */
export async function removeInvite(tx: Tx, id: string): Promise<void> {
  await tx`delete from invites where id = ${id} and used_at is null`;
}

/** Uses an invitation up. @returns false where somebody else has meanwhile */
export async function useInvite(tx: Tx, id: string): Promise<boolean> {
  const { count } = await tx`
    update invites set used_at = now() where id = ${id} and used_at is null and expires_at > now()`;
  return count > 0;
}

/** What an invitation's token leads to; null for one that is worth nothing. */
export async function openInvite(
  token: string
): Promise<{ householdId: string; inviteId: string; household: string; madeBy: string } | null> {
  const [row] = await outside(
    (sql) => sql<{ household_id: string; invite_id: string; household_name: string; made_by: string }[]>`
      select household_id, invite_id, household_name, made_by from open_invite(${tokenHash(token)})`
  );
  return row
    ? {
        householdId: row.household_id,
        inviteId: row.invite_id,
        household: row.household_name,
        madeBy: row.made_by
      }
    : null;
}
