import type { ChannelAddresses, ChannelKind, ShownChannel } from '../../contract/reminders.ts';
import type { ReminderKind } from '../../core/reminders/reminder.ts';
import type { Tx } from '../db/connection.ts';

/** Where a member is reminded. */
export type Channel = {
  [K in ChannelKind]: {
    id: string;
    memberId: string;
    kind: K;
    name: string;
    address: ChannelAddresses[K];
    kinds: ReminderKind[];
  };
}[ChannelKind];

/** A channel with when its member wants to be left alone. */
export interface ListeningChannel {
  id: string;
  memberId: string;
  kinds: ReminderKind[];
  quiet: { fromMin: number; untilMin: number } | null;
}

/** The channels of the household that reminders go to. */
export async function listeningChannels(tx: Tx): Promise<ListeningChannel[]> {
  const rows = await tx<
    {
      id: string;
      member_id: string;
      kinds: ReminderKind[];
      quiet_from_min: number | null;
      quiet_until_min: number | null;
    }[]
  >`select c.id, c.member_id, c.kinds, m.quiet_from_min, m.quiet_until_min from channels c
    join members m on m.household_id = c.household_id and m.id = c.member_id
    where c.broken_at is null and (c.kind <> 'mail' or c.confirmed_at is not null)`;
  return rows.map(({ id, member_id, kinds, quiet_from_min, quiet_until_min }) => ({
    id,
    memberId: member_id,
    kinds,
    quiet:
      quiet_from_min === null || quiet_until_min === null
        ? null
        : { fromMin: quiet_from_min, untilMin: quiet_until_min }
  }));
}

/** A member's channels, as they see them. */
export async function listChannels(tx: Tx, memberId: string): Promise<ShownChannel[]> {
  const rows = await tx<
    {
      id: string;
      kind: ChannelKind;
      name: string;
      kinds: ReminderKind[];
      broken_at: Date | null;
      confirmed: boolean;
      said: string | null;
      sent_at: Date | null;
      waiting: number;
    }[]
  >`select c.id, c.kind, c.name, c.kinds, c.broken_at, (c.kind <> 'mail' or c.confirmed_at is not null) as confirmed, c.said,
      (select max(d.sent_at) from deliveries d where d.household_id = c.household_id and d.channel_id = c.id) as sent_at,
      (select count(*)::int from deliveries d where d.household_id = c.household_id and d.channel_id = c.id and d.state = 'pending') as waiting
    from channels c where c.member_id = ${memberId} order by c.created_at, c.id`;
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind,
    name: row.name,
    kinds: row.kinds,
    broken: row.broken_at !== null,
    confirmed: row.confirmed,
    said: row.said,
    lastSentAt: row.sent_at?.getTime() ?? null,
    waiting: row.waiting
  }));
}

/** Adds a channel; adding it again leaves it as it is. */
export async function addChannel(tx: Tx, householdId: string, channel: Channel): Promise<void> {
  await tx`insert into channels (household_id, id, member_id, kind, name, address, kinds)
    values (${householdId}, ${channel.id}, ${channel.memberId}, ${channel.kind}, ${channel.name},
      ${tx.json(channel.address as never)}, ${channel.kinds})
    on conflict (household_id, id) do nothing`;
}

/** Whoever reads mail at a channel's address has said so. @returns whether it is there */
export async function confirmChannel(tx: Tx, id: string): Promise<boolean> {
  return (
    (await tx`update channels set confirmed_at = coalesce(confirmed_at, now()) where id = ${id}`).count > 0
  );
}

/** The channel of a browser's endpoint: one that subscribes again has the same one. */
export async function channelOfEndpoint(
  tx: Tx,
  endpoint: string
): Promise<{ id: string; memberId: string } | null> {
  const [row] = await tx<{ id: string; memberId: string }[]>`
    select id, member_id as "memberId" from channels where kind = 'push' and address->>'endpoint' = ${endpoint}`;
  return row ?? null;
}

/** Which kinds go to a member's channel. */
export async function setKinds(
  tx: Tx,
  memberId: string,
  id: string,
  kinds: readonly string[]
): Promise<void> {
  await tx`update channels set kinds = ${kinds as string[]} where id = ${id} and member_id = ${memberId}`;
}

/** Turns a channel on again that had broken. */
export async function mendChannel(tx: Tx, memberId: string, id: string): Promise<void> {
  await tx`update channels set broken_at = null, said = null, failures = 0
    where id = ${id} and member_id = ${memberId}`;
}

/** Takes a channel away, with what was on its way to it. */
export async function removeChannel(tx: Tx, memberId: string, id: string): Promise<void> {
  await tx`delete from channels where id = ${id} and member_id = ${memberId}`;
}

/** Takes a channel away for whoever holds its own token. @returns whether it was there */
export async function unsubscribe(tx: Tx, id: string): Promise<boolean> {
  return (await tx`delete from channels where id = ${id}`).count > 0;
}

/** When a member wants to be left alone; null for the household's night. */
export async function quietOf(
  tx: Tx,
  memberId: string
): Promise<{ fromMin: number; untilMin: number } | null> {
  const [row] = await tx<{ quiet_from_min: number | null; quiet_until_min: number | null }[]>`
    select quiet_from_min, quiet_until_min from members where id = ${memberId}`;
  return row && row.quiet_from_min !== null && row.quiet_until_min !== null
    ? { fromMin: row.quiet_from_min, untilMin: row.quiet_until_min }
    : null;
}

/** Sets when a member wants to be left alone. */
export async function setQuiet(
  tx: Tx,
  memberId: string,
  quiet: { fromMin: number; untilMin: number } | null
): Promise<void> {
  await tx`update members set quiet_from_min = ${quiet?.fromMin ?? null}, quiet_until_min = ${quiet?.untilMin ?? null}
    where id = ${memberId}`;
}
