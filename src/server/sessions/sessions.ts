import { randomBytes, randomUUID } from 'node:crypto';
import { db, inHousehold } from '../db/connection.ts';
import {
  householdOf,
  memberNamed,
  nameKey,
  type Household,
  type HouseholdRow
} from '../households/household.ts';
import { isPassphrase } from './passphrase.ts';
import { tokenHash } from './tokenHash.ts';

export const SESSION_COOKIE = 'brote_session';
export const SESSION_DAYS = 60;

export interface Session {
  household: Household;
  memberId: string;
  memberName: string;
}

/** The session of a token, or null where it is unknown or has run out. */
export async function openSession(token: string): Promise<Session | null> {
  const rows = await db()<{ household: HouseholdRow; member_id: string; member_name: string }[]>`
    select to_json(household) as household, member_id, member_name from open_session(${tokenHash(token)})`;
  const row = rows[0];
  return row
    ? { household: householdOf(row.household), memberId: row.member_id, memberName: row.member_name }
    : null;
}

/** Opens a session for somebody of a household by name, whoever that is. @returns its token */
export async function startSession(householdId: string, memberName: string): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await inHousehold(householdId, async (tx) => {
    const memberId = await memberNamed(tx, householdId, randomUUID(), memberName);
    await tx`delete from sessions where expires_at < now()`;
    await tx`insert into sessions (household_id, token_hash, member_id, expires_at)
      values (${householdId}, ${tokenHash(token)}, ${memberId}, now() + make_interval(days => ${SESSION_DAYS}))`;
  });
  return token;
}

/** Ends a session; ending it again is fine. */
export async function endSession(householdId: string, token: string): Promise<void> {
  await inHousehold(householdId, (tx) => tx`delete from sessions where token_hash = ${tokenHash(token)}`);
}

export type SignIn = { ok: true; token: string } | { ok: false; say: string };

/** Tries that cost nothing; after them each takes twice as long as the one before. */
const FREE_TRIES = 4;
const LONGEST_WAIT_S = 300;

/** Signs in by household and passphrase. Failed tries on one name are slowed for a quarter of an hour. */
export async function signIn(householdName: string, passphrase: string, memberName: string): Promise<SignIn> {
  const key = nameKey(householdName);
  const [tries] = await db()<
    { failures: number; seconds_ago: number | null }[]
  >`select * from failed_sign_ins(${key})`;
  const over = tries!.failures - FREE_TRIES;
  const wait = over < 0 ? 0 : Math.min(LONGEST_WAIT_S, 2 ** (over + 1)) - (tries!.seconds_ago ?? 0);
  if (wait > 0)
    return { ok: false, say: `Too many tries on this household. Try again in ${Math.ceil(wait)} seconds.` };
  const [found] = await db()<
    { household_id: string; passphrase_hash: string }[]
  >`select * from find_household(${key})`;
  if (!(await isPassphrase(found?.passphrase_hash ?? null, passphrase)) || !found) {
    await db()`select note_failed_sign_in(${key})`;
    return { ok: false, say: 'No household has this name with this passphrase. Check both and try again.' };
  }
  await db()`select forget_failed_sign_ins(${key})`;
  return { ok: true, token: await startSession(found.household_id, memberName) };
}

/** Whether there is any household on this server yet. */
export async function anyHousehold(): Promise<boolean> {
  const [row] = await db()<{ any_household: boolean }[]>`select any_household()`;
  return row!.any_household;
}

/** The demo's household, or null on a server that has none. */
export async function demoHousehold(): Promise<string | null> {
  const [row] = await db()<{ demo_household: string | null }[]>`select demo_household()`;
  return row!.demo_household;
}
