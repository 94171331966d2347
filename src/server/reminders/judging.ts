import { outside, type Tx } from '../db/connection.ts';

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

async function judgingOf(tx: Tx, lock: ReturnType<Tx>): Promise<Judging | null> {
  const [row] = await tx<
    {
      judged_until: Date | null;
      touched_at: Date | null;
      silence_from: Date | null;
      silence_until: Date | null;
    }[]
  >`select judged_until, touched_at, silence_from, silence_until from judging
    where household_id = current_household() ${lock}`;
  if (!row) return null;
  const { judged_until, touched_at, silence_from, silence_until } = row;
  return {
    judgedUntil: judged_until?.getTime() ?? null,
    touchedAt: touched_at?.getTime() ?? null,
    silence:
      silence_from && silence_until ? { from: silence_from.getTime(), until: silence_until.getTime() } : null
  };
}

/**
 * Notes that a household was judged.
 * @param until its own time then
 * @param next the machine's time at which it is to be judged again
 */
export async function noteJudged(tx: Tx, until: number, next: number): Promise<void> {
  // As text: the driver would make a date of it, and there is none for never.
  const at = Number.isFinite(next) ? new Date(next).toISOString() : 'infinity';
  await tx`update judging set judged_at = now(), judged_until = ${new Date(until)}, judge_at = ${at}::text::timestamptz
    where household_id = current_household()`;
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
