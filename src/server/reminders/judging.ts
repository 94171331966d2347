import { outside, type Tx } from '../db/connection.ts';
import type { Fragment } from '../db/statement.ts';
import { backoffMs } from './backoff.ts';

/** Whoever takes a household to judge, or a message to send, and dies has left it to others after so long, s. */
export const LEASE_S = 60;

/** Takes households that are to be judged now: by an index, and none that another process has. */
export async function claimHouseholds(most: number, leaseS = LEASE_S): Promise<string[]> {
  const rows = await outside(
    (sql) =>
      sql<
        { household_id: string }[]
      >`select household_id from claim_households(${most}, make_interval(secs => ${leaseS}))`
  );
  return rows.map(({ household_id }) => household_id);
}

/** Where a household's judging stands, in its own time but for `judgedAt`. */
export interface Judging {
  /** Another one after each write that marks the household. */
  version: string;
  judgedUntil: number | null;
  touchedAt: number | null;
  /** The last silence that ended, from when to when. */
  silence: { from: number; until: number } | null;
}

/**
 * Holds a household's judging until the transaction ends. A write that marks it waits for that, and whatever was written
 * before is seen: none of both is overlooked.
 */
export const holdJudging = (tx: Tx): Promise<Judging | null> => judgingOf(tx, tx`for update`);

/** Where the household's judging stands; null where it has nothing to be judged. */
export const readJudging = (tx: Tx): Promise<Judging | null> => judgingOf(tx, tx``);

async function judgingOf(tx: Tx, lock: Fragment): Promise<Judging | null> {
  const [row] = await tx<
    {
      version: string;
      judged_until: Date | null;
      touched_at: Date | null;
      silence_from: Date | null;
      silence_until: Date | null;
    }[]
  >`select xmin::text as version, judged_until, touched_at, silence_from, silence_until from judging
    where household_id = current_household() ${lock}`;
  if (!row) return null;
  const { version, judged_until, touched_at, silence_from, silence_until } = row;
  return {
    version,
    judgedUntil: judged_until?.getTime() ?? null,
    touchedAt: touched_at?.getTime() ?? null,
    silence:
      silence_from && silence_until ? { from: silence_from.getTime(), until: silence_until.getTime() } : null
  };
}

/** A moment as text, Infinity for never: the driver would make a date of it, and there is none for never. */
const textOf = (at: number): string => (Number.isFinite(at) ? new Date(at).toISOString() : 'infinity');

/**
 * Notes that a household was judged.
 * @param until its own time then
 * @param next the machine's time at which it is to be judged again
 */
export async function noteJudged(tx: Tx, until: number, next: number): Promise<void> {
  await tx`update judging set judged_at = now(), judged_until = ${new Date(until)}, judge_at = ${textOf(next)}::text::timestamptz,
      failures = 0, fault = null, set_aside_at = null
    where household_id = current_household()`;
}

/** So often in a row a household is tried before it is set aside, starting figure: by then about half an hour has passed. */
export const MOST_TRIES = 8;
const LONGEST_FAULT = 500;

/**
 * Notes that a household could not be judged, and has it tried again later, or sets it aside after {@link MOST_TRIES}.
 * @returns whether it is set aside by that
 */
export async function noteUnjudged(tx: Tx, fault: string): Promise<boolean> {
  const [row] = await tx<{ failures: number }[]>`update judging set failures = failures + 1,
      fault = ${fault.slice(0, LONGEST_FAULT) || 'unknown'}
    where household_id = current_household() returning failures`;
  if (!row) return false;
  const isSetAside = row.failures >= MOST_TRIES;
  const next = isSetAside ? Infinity : Date.now() + backoffMs(row.failures);
  await tx`update judging set judge_at = ${textOf(next)}::text::timestamptz,
      set_aside_at = ${isSetAside ? tx`coalesce(set_aside_at, now())` : null}
    where household_id = current_household()`;
  return isSetAside;
}

/** Since when the household's reminders are set aside; null where they are not. */
export async function setAsideSince(tx: Tx): Promise<number | null> {
  const [row] = await tx<{ set_aside_at: Date | null }[]>`select set_aside_at from judging
    where household_id = current_household()`;
  return row?.set_aside_at?.getTime() ?? null;
}

/** Has every household that was set aside tried again. @returns what was wrong with each, for the operator */
export async function retrySetAside(): Promise<{ householdId: string; fault: string }[]> {
  const rows = await outside(
    (sql) => sql<{ household_id: string; fault: string }[]>`select household_id, fault from retry_set_aside()`
  );
  return rows.map(({ household_id, fault }) => ({ householdId: household_id, fault }));
}

/** Has a household judged by a moment, the machine's time: a timer that was begun now ends at its own minute. */
export async function judgeBy(tx: Tx, at: number): Promise<void> {
  await tx`update judging set judge_at = least(judge_at, ${new Date(at)})
    where household_id = current_household()`;
}

/** Says when anybody last recorded anything, where what was recorded tells of other days than it was written on: the demo's. */
export async function noteTouched(tx: Tx, at: number): Promise<void> {
  // What marks the household at the end of the transaction has to have marked it by now.
  await tx`set constraints all immediate`;
  await tx`update judging set touched_at = ${new Date(at)}, silence_from = null, silence_until = null
    where household_id = current_household()`;
}
