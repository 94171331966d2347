import type { SecretFeed, FeedKind } from '../../contract/reminders.ts';
import { outside, type Tx } from '../db/connection.ts';
import { waitFor } from '../sessions/attempts.ts';
import { newToken } from '../sessions/sessions.ts';
import { tokenHash } from '../sessions/tokenHash.ts';

/** A member's secret addresses. */
export async function listFeeds(tx: Tx, memberId: string): Promise<SecretFeed[]> {
  const rows = await tx<{ id: string; kind: FeedKind; created_at: Date; read_at: Date | null }[]>`
    select id, kind, created_at, read_at from feeds where member_id = ${memberId} order by created_at, id`;
  return rows.map(({ id, kind, created_at, read_at }) => ({
    id,
    kind,
    createdAt: created_at.getTime(),
    readAt: read_at?.getTime() ?? null
  }));
}

/** Adds a secret address. @returns its token, which is not stored; null if the address exists already */
export async function addFeed(
  tx: Tx,
  householdId: string,
  memberId: string,
  id: string,
  kind: FeedKind
): Promise<string | null> {
  const token = newToken();
  const { count } = await tx`
    insert into feeds (household_id, id, member_id, kind, token_hash)
    values (${householdId}, ${id}, ${memberId}, ${kind}, ${tokenHash(token)}) on conflict do nothing`;
  return count > 0 ? token : null;
}

/** Takes a secret address away: it shows nothing from then on. */
export async function removeFeed(tx: Tx, memberId: string, id: string): Promise<void> {
  await tx`delete from feeds where id = ${id} and member_id = ${memberId}`;
}

/** Whose address of a kind a token is; null for one that is worth nothing. */
export async function openFeed(
  token: string,
  kind: FeedKind
): Promise<{ householdId: string; feedId: string; language: string | null } | null> {
  const [row] = await outside(
    (sql) => sql<{ household_id: string; feed_id: string; language: string | null }[]>`
      select household_id, feed_id, language from open_feed(${tokenHash(token)}, ${kind})`
  );
  return row ? { householdId: row.household_id, feedId: row.feed_id, language: row.language } : null;
}

/** Times that one address may be read in a quarter of an hour at no cost. */
const FREE_READS = 60;

/** Counts a reading of an address. @returns seconds to wait; 0 to go on */
export const waitForFeed = (id: string): Promise<number> => waitFor(`feed ${id}`, FREE_READS);

/** Notes that it was read. */
export async function noteRead(tx: Tx, id: string): Promise<void> {
  await tx`update feeds set read_at = now() where id = ${id}`;
}
