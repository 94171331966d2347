import { randomBytes, randomUUID } from 'node:crypto';
import { inHousehold, outside, type Tx } from '../db/connection.ts';
import { isStorageFull } from '../db/storage.ts';
import { accountOf, memberNamed, type AccountRow, type HouseholdAccount } from '../households/household.ts';
import { tokenHash } from './tokenHash.ts';

export const SESSION_COOKIE = 'brote_session';
/** A session that nobody uses for so long ends; one that is used goes on. */
export const SESSION_DAYS = 60;

export interface Session {
  id: string;
  household: HouseholdAccount;
  memberId: string;
  memberName: string;
  /** The language they read; null until it is known. */
  memberLanguage: string | null;
  /** Put off just now: the browser is to keep its cookie as long. */
  renewed: boolean;
}

/** A session as the household's list of devices shows it. */
export interface OpenSession {
  id: string;
  memberName: string;
  /** What the browser said of itself, in a few words. */
  agent: string;
  createdAt: number;
  usedAt: number;
}

interface OpenedRow {
  household: AccountRow;
  member_id: string;
  member_name: string;
  member_language: string | null;
  session_id: string;
  renewed: boolean;
}

/** The session of a token, or null where it is unknown or has run out. */
export async function openSession(token: string): Promise<Session | null> {
  const [row] = await outside((sql) =>
    isStorageFull()
      ? sql<OpenedRow[]>`
            select household, member_id, member_name, member_language, session_id, renewed from read_session(${tokenHash(token)})`
      : sql<OpenedRow[]>`
            select household, member_id, member_name, member_language, session_id, renewed
            from open_session(${tokenHash(token)}, make_interval(days => ${SESSION_DAYS}))`
  );
  return row
    ? {
        id: row.session_id,
        household: accountOf(row.household),
        memberId: row.member_id,
        memberName: row.member_name,
        memberLanguage: row.member_language,
        renewed: row.renewed
      }
    : null;
}

/**
 * Opens a session for somebody of a household by name, whoever that is.
 * @param agent what the browser says of itself
 * @param language what it reads: a member's, until they choose another
 * @returns its token
 */
export async function startSession(
  householdId: string,
  memberName: string,
  agent = '',
  language: string | null = null
): Promise<string> {
  const token = newToken();
  await inHousehold(householdId, async (tx) => {
    const memberId = await memberNamed(tx, householdId, randomUUID(), memberName);
    await tx`update members set language = ${language} where id = ${memberId} and language is null`;
    await tx`delete from sessions where expires_at < now()`;
    await tx`insert into sessions (household_id, token_hash, member_id, agent, expires_at)
      values (${householdId}, ${tokenHash(token)}, ${memberId}, ${agent.slice(0, 60)},
        now() + make_interval(days => ${SESSION_DAYS}))`;
  });
  return token;
}

/** A token that nobody guesses; of it only the hash is kept. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** Ends the session of a token; ending it again is fine. */
export async function endSession(token: string): Promise<void> {
  await outside((sql) => sql`select end_session(${tokenHash(token)})`);
}

/** The household's sessions, those used last first. */
export async function listSessions(tx: Tx): Promise<OpenSession[]> {
  const rows = await tx<{ id: string; name: string; agent: string; created_at: Date; used_at: Date }[]>`
    select s.id, m.name, s.agent, s.created_at, s.used_at
    from sessions s
    join members m on m.household_id = s.household_id and m.id = s.member_id
    where s.expires_at > now()
    order by s.used_at desc, s.id`;
  return rows.map((row) => ({
    id: row.id,
    memberName: row.name,
    agent: row.agent,
    createdAt: row.created_at.getTime(),
    usedAt: row.used_at.getTime()
  }));
}

/** Ends one session of the household, wherever it is open. */
export async function endSessionById(tx: Tx, id: string): Promise<void> {
  await tx`delete from sessions where id = ${id}`;
}

/** Ends every session of the household but one. */
export async function endOtherSessions(tx: Tx, but: string): Promise<void> {
  await tx`delete from sessions where id <> ${but}`;
}

/** Ends every session of the household but one, of members who sign in with the household's passphrase. */
export async function endSharedSessions(tx: Tx, but: string): Promise<void> {
  await tx`delete from sessions where id <> ${but} and not has_passphrase(member_id)`;
}

/** Whether there is any household on this server yet. */
export async function anyHousehold(limitMs?: number): Promise<boolean> {
  const [row] = await outside((sql) => sql<{ any_household: boolean }[]>`select any_household()`, limitMs);
  return row!.any_household;
}

/** The demo's household, or null on a server that has none. */
export async function demoHousehold(): Promise<string | null> {
  const [row] = await outside((sql) => sql<{ demo_household: string | null }[]>`select demo_household()`);
  return row!.demo_household;
}
