import type { CalendarFeed } from '../../contract/reminders.ts';
import { outside, type Tx } from '../db/connection.ts';
import { newToken } from '../sessions/sessions.ts';
import { tokenHash } from '../sessions/tokenHash.ts';

/** A member's calendar addresses. */
export async function listFeeds(tx: Tx, memberId: string): Promise<CalendarFeed[]> {
  const rows = await tx<{ id: string; created_at: Date; read_at: Date | null }[]>`
    select id, created_at, read_at from feeds where member_id = ${memberId} order by created_at, id`;
  return rows.map(({ id, created_at, read_at }) => ({
    id,
    createdAt: created_at.getTime(),
    readAt: read_at?.getTime() ?? null
  }));
}

/** Makes a calendar address. @returns its token, which is kept nowhere; null where it is there already */
export async function addFeed(
  tx: Tx,
  householdId: string,
  memberId: string,
  id: string
): Promise<string | null> {
  const token = newToken();
  const { count } = await tx`
    insert into feeds (household_id, id, member_id, token_hash)
    values (${householdId}, ${id}, ${memberId}, ${tokenHash(token)}) on conflict do nothing`;
  return count > 0 ? token : null;
}

/** Takes a calendar address away: it shows nothing from then on. */
export async function removeFeed(tx: Tx, memberId: string, id: string): Promise<void> {
  await tx`delete from feeds where id = ${id} and member_id = ${memberId}`;
}

/** Whose calendar address a token is; null for one that is worth nothing. */
export async function openFeed(
  token: string
): Promise<{ householdId: string; feedId: string; language: string | null } | null> {
  const [row] = await outside(
    (sql) => sql<{ household_id: string; feed_id: string; language: string | null }[]>`
      select household_id, feed_id, language from open_feed(${tokenHash(token)})`
  );
  return row ? { householdId: row.household_id, feedId: row.feed_id, language: row.language } : null;
}

/** Notes that a calendar asked. */
export async function noteRead(tx: Tx, id: string): Promise<void> {
  await tx`update feeds set read_at = now() where id = ${id}`;
}
