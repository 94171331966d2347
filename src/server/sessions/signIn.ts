import { t } from '../../messages/t.ts';
import { outside, type Tx } from '../db/connection.ts';
import { nameKey } from '../../contract/text.ts';
import { waitFor } from './attempts.ts';
import { isPassphrase } from './passphrase.ts';
import { newToken, startSession } from './sessions.ts';
import { tokenHash } from './tokenHash.ts';

/** Kept by a browser that has signed in once: it is then not slowed by what strangers try. */
export const KNOWN_COOKIE = 'brote_known';
export const KNOWN_DAYS = 400;

/** Who knocks. */
export interface Caller {
  /** Where from, as the server or its proxy saw it. */
  address: string;
  /** What the browser says of itself, in a few words. */
  agent: string;
  /** The language it reads. */
  language: string;
  /** Its token of an earlier time; null for none. */
  known: string | null;
}

/** What a browser that was let in is handed: its session, and what it is known by the next time. */
export interface Admitted {
  token: string;
  known: string;
}

export type SignIn = ({ ok: true } & Admitted) | { ok: false; kind: 'wrong' | 'wait'; say: string };

interface Tried {
  wait_s: number;
  ids: string[];
  all_of: string;
  household_id: string | null;
  passphrase_hash: string | null;
}

/**
 * Signs in by household and passphrase. Every try is counted before it is checked: by name and address together,
 * by name, and by address. Past a few, each waits twice as long as the one before. A browser that is known to the
 * household is counted by itself, so that a stranger's guessing keeps nobody out of their own kitchen.
 */
export async function signIn(
  householdName: string,
  passphrase: string,
  memberName: string,
  caller: Caller
): Promise<SignIn> {
  const checked = await checkPassphrase(householdName, passphrase, memberName, caller);
  if (!checked.ok) return checked;
  return { ok: true, ...(await admit(checked.householdId, memberName, caller)) };
}

/**
 * Opens a session for somebody who was found to belong to a household, and knows their browser from then on.
 * @returns what the browser is to keep
 */
export async function admit(householdId: string, memberName: string, caller: Caller): Promise<Admitted> {
  const known = caller.known ?? newToken();
  const token = await startSession(householdId, memberName, caller.agent, caller.language);
  await outside((sql) => sql`select know_browser(${householdId}, ${tokenHash(known)})`);
  return { token, known };
}

/**
 * Whether a passphrase lets somebody in, counted as a try at it: a member's own where they have one, or else the household's.
 * @param memberName empty for the household's in any case
 */
export async function checkPassphrase(
  householdName: string,
  passphrase: string,
  memberName: string,
  caller: Caller
): Promise<{ ok: true; householdId: string } | Extract<SignIn, { ok: false }>> {
  const key = nameKey(householdName);
  const known = caller.known === null ? null : tokenHash(caller.known);
  const [tried] = await outside(
    (sql) =>
      sql<
        Tried[]
      >`select * from begin_sign_in(${key}, ${network(caller.address)}, ${known}, ${nameKey(memberName)})`
  );
  if (tried!.wait_s > 0)
    return {
      ok: false,
      kind: 'wait',
      say: t('door.signIn.wait', { seconds: tried!.wait_s })
    };
  const right = await isPassphrase(tried!.passphrase_hash, passphrase);
  if (!right || !tried!.household_id)
    return {
      ok: false,
      kind: 'wrong',
      say: t('door.signIn.wrong')
    };
  await outside((sql) => sql`select forget_attempts(${tried!.ids}, ${tried!.all_of})`);
  return { ok: true, householdId: tried!.household_id };
}

/** New households that one address may begin in a quarter of an hour at no cost. */
const FREE_HOUSEHOLDS = 20;

/** Counts a try at a new household. @returns seconds to wait; 0 to go on */
export const waitForNewHousehold = (address: string): Promise<number> =>
  waitFor(`household ${network(address)}`, FREE_HOUSEHOLDS);

/** Forgets the browsers of the household but one: what a changed passphrase is changed for. */
export async function forgetOtherBrowsers(tx: Tx, known: string | null): Promise<void> {
  await tx`delete from known_browsers where token_hash <> ${known === null ? Buffer.alloc(0) : tokenHash(known)}`;
}

/** What tries are counted by: an IPv4 address, or the half of an IPv6 address that one connection has. */
export function network(address: string): string {
  const plain = address.replace(/^::ffff:(?=\d+\.)/i, '').slice(0, 45);
  return plain.includes(':') ? `${plain.split(':').slice(0, 4).join(':')}::/64` : plain;
}
