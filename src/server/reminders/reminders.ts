import type { Reminder, ReminderBody, ReminderKind, Told } from '../../core/reminders/reminder.ts';
import type { ToldReminder } from '../../contract/reminders.ts';
import { isStorageFull } from '../db/storage.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

/** What was told is kept for so long: longer than the slowest tray stands. */
const KEPT = '120 days';

/** What the household was told before. */
export async function toldBefore(tx: Tx): Promise<Told[]> {
  const rows = await tx<{ key: string; opens_at: unknown; forecast: unknown }[]>`
    select key, body->'opensAt' as opens_at, body->'forecast' as forecast from reminders`;
  const number = (value: unknown) => (typeof value === 'number' ? value : null);
  return rows.map(({ key, opens_at, forecast }) => ({
    key,
    opensAt: number(opens_at),
    forecast: number(forecast)
  }));
}

/** A reminder with the id it was kept under, and whom alone it is for. */
export type StoredReminder = Reminder & { id: string; forMember?: string | null };

/**
 * Writes reminders down.
 * @param toldAt the household's time
 * @returns those that were new: what has been told before is left out
 */
export async function saveReminders(
  tx: Tx,
  householdId: string,
  reminders: readonly StoredReminder[],
  toldAt: number
): Promise<StoredReminder[]> {
  if (reminders.length === 0) return [];
  const rows = reminders.map(({ id, key, kind, dueAt, until, body, forMember = null }) => ({
    household_id: householdId,
    id,
    for_member: forMember,
    key,
    kind,
    due_at: new Date(dueAt),
    until_at: new Date(until),
    told_at: new Date(toldAt),
    body: body as never
  }));
  const added = await tx<{ id: string }[]>`
    insert into reminders ${tx(rows)} on conflict do nothing returning id`;
  await tx`delete from reminders where told_at < now() - ${KEPT}::interval`;
  return reminders.filter(({ id }) => added.some((one) => one.id === id));
}

interface ReminderRow {
  id: string;
  key: string;
  kind: ReminderKind;
  due_at: Date;
  until_at: Date;
  told_at: Date;
  body: ReminderBody;
}

/** Some reminders of the household, as they were told. */
export async function remindersOf(tx: Tx, ids: readonly string[]): Promise<StoredReminder[]> {
  if (ids.length === 0) return [];
  const rows = await tx<ReminderRow[]>`
    select id, key, kind, due_at, until_at, told_at, body from reminders where id in ${tx(ids)} order by due_at, key`;
  return soundRows(tx, 'reminders', rows).map(({ id, key, kind, due_at, until_at, body }) => ({
    id,
    key,
    kind,
    dueAt: due_at.getTime(),
    until: until_at.getTime(),
    body
  }));
}

/** The last reminders of the household that a member is told, the latest first. */
export async function listReminders(tx: Tx, memberId: string, most: number): Promise<ToldReminder[]> {
  const rows = await tx<ReminderRow[]>`
    select id, key, kind, due_at, until_at, told_at, body from reminders
    where for_member is null or for_member = ${memberId}
    order by told_at desc, key limit ${most}`;
  return soundRows(tx, 'reminders', rows).map(({ id, kind, told_at, body }) => ({
    id,
    kind,
    toldAt: told_at.getTime(),
    body
  }));
}

/** How many reminders came since a member last looked at them. */
export async function unseenReminders(tx: Tx, memberId: string): Promise<number> {
  const [row] = await tx<{ unseen: number }[]>`
    select count(*)::int as unseen from reminders
    where told_at > coalesce((select seen_at from members where id = ${memberId}), '-infinity')
      and (for_member is null or for_member = ${memberId})`;
  return row!.unseen;
}

/** Notes that a member has seen what came until then, the household's time. */
export async function noteSeen(tx: Tx, memberId: string, until: number): Promise<void> {
  if (isStorageFull()) return;
  await tx`update members set seen_at = greatest(seen_at, ${new Date(until)}) where id = ${memberId}`;
}
