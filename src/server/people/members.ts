import type { Tx } from '../db/connection.ts';
import { nameKey } from '../../contract/text.ts';

/** Somebody of the household. */
export interface Member {
  id: string;
  name: string;
}

/** Who is in the household, by name. */
export async function listMembers(tx: Tx): Promise<Member[]> {
  return tx<Member[]>`select id, name from members where left_at is null order by name, id`;
}

/** Adds somebody with a passphrase of their own. @returns false where the name is taken */
export async function addMember(
  tx: Tx,
  householdId: string,
  { id, name, passphraseHash }: Member & { passphraseHash: string }
): Promise<boolean> {
  const { count } = await tx`
    insert into members (household_id, id, name, name_key, passphrase_hash)
    values (${householdId}, ${id}, ${name.trim()}, ${nameKey(name)}, ${passphraseHash})
    on conflict (household_id, name_key) where left_at is null do nothing`;
  return count > 0;
}

/** Gives a member a passphrase of their own, or another. */
export async function setPassphrase(tx: Tx, memberId: string, hash: string): Promise<void> {
  await tx`update members set passphrase_hash = ${hash} where id = ${memberId}`;
}

/** Notes which language a member reads. */
export async function setLanguage(tx: Tx, memberId: string, language: string): Promise<void> {
  await tx`update members set language = ${language} where id = ${memberId}`;
}

/** Whether a member signs in with a passphrase of their own. */
export async function hasPassphrase(tx: Tx, memberId: string): Promise<boolean> {
  const [row] = await tx<{ has: boolean }[]>`select has_passphrase(${memberId}) as has`;
  return row!.has;
}

/**
 * Takes a member out of the household: signed out everywhere, reminded nowhere, and what they invited others with is worth
 * nothing any more. What they did keeps their name.
 * @returns false where they are the last, or are not there
 */
export async function leaveHousehold(tx: Tx, memberId: string): Promise<boolean> {
  // Two who leave at once do so one after the other.
  const rows = await tx<
    { id: string }[]
  >`select id from members where left_at is null order by id for no key update`;
  if (rows.length < 2 || rows.every(({ id }) => id !== memberId)) return false;
  await tx`update members set left_at = now(), passphrase_hash = null where id = ${memberId}`;
  await tx`delete from sessions where member_id = ${memberId}`;
  await tx`delete from channels where member_id = ${memberId}`;
  await tx`delete from feeds where member_id = ${memberId}`;
  await tx`delete from turns where member_id = ${memberId}`;
  await tx`delete from invites where made_by = ${memberId} and used_at is null`;
  await tx`update sitters set revoked_at = now() where made_by = ${memberId} and revoked_at is null`;
  return true;
}
