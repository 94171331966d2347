import { outside, type Tx } from '../db/connection.ts';
import type { Channel } from './channels.ts';
import { LEASE_S } from './judging.ts';

/** Messages are kept so long, to be looked at where something did not come. */
const KEPT = '30 days';

/** Messages that were taken to be sent. */
export interface Claimed {
  householdId: string;
  id: string;
}

/** Takes messages that are to go now: by an index, and none that another process has. */
export async function claimDeliveries(most: number, leaseS = LEASE_S): Promise<Claimed[]> {
  const rows = await outside(
    (sql) => sql<{ household_id: string; id: string }[]>`
      select household_id, id from claim_deliveries(${most}, make_interval(secs => ${leaseS}))`
  );
  return rows.map(({ household_id, id }) => ({ householdId: household_id, id }));
}

/** A message to be put on its way, the machine's time. */
export interface NewDelivery {
  id: string;
  channelId: string;
  reminders: readonly string[];
  nextAt: number;
}

/** Puts messages on their way; one that is there already stays as it is. */
export async function addDeliveries(
  tx: Tx,
  householdId: string,
  deliveries: readonly NewDelivery[]
): Promise<void> {
  for (const { id, channelId, reminders, nextAt } of deliveries)
    await tx`insert into deliveries (household_id, id, channel_id, reminders, next_at)
      values (${householdId}, ${id}, ${channelId}, ${reminders as string[]}, ${new Date(nextAt)})
      on conflict do nothing`;
}

/** A message with where it goes, as it stands. */
export interface Delivery {
  channel: Channel;
  /** The language its member reads; null where that is not known. */
  language: string | null;
  /** Whoever reads mail there said that it may be written to; true for other channels. */
  isConfirmed: boolean;
  failures: number;
  reminders: string[];
  createdAt: number;
  tries: number;
}

/** A message that is still to go; null where it went meanwhile, or its channel is gone or broken. */
export async function findPending(tx: Tx, id: string): Promise<Delivery | null> {
  const [row] = await tx<
    {
      channel_id: string;
      member_id: string;
      language: string | null;
      kind: Channel['kind'];
      name: string;
      address: Channel['address'];
      kinds: Channel['kinds'];
      is_confirmed: boolean;
      failures: number;
      reminders: string[];
      created_at: Date;
      tries: number;
    }[]
  >`select d.channel_id, c.member_id, m.language, c.kind, c.name, c.address, c.kinds,
      (c.kind <> 'mail' or c.confirmed_at is not null) as is_confirmed, c.failures, d.reminders, d.created_at, d.tries
    from deliveries d
    join channels c on c.household_id = d.household_id and c.id = d.channel_id
    join members m on m.household_id = c.household_id and m.id = c.member_id
    where d.id = ${id} and d.state = 'pending' and c.broken_at is null`;
  if (!row) return null;
  const { channel_id, member_id, kind, name, address, kinds } = row;
  return {
    channel: { id: channel_id, memberId: member_id, kind, name, address, kinds } as Channel,
    language: row.language,
    isConfirmed: row.is_confirmed,
    failures: row.failures,
    reminders: row.reminders,
    createdAt: row.created_at.getTime(),
    tries: row.tries
  };
}

/** Notes that a message went. */
export async function noteSent(tx: Tx, id: string, channelId: string): Promise<void> {
  await tx`update deliveries set state = 'sent', sent_at = now() where id = ${id} and state = 'pending'`;
  await tx`update channels set failures = 0, said = null
    where id = ${channelId} and (failures > 0 or said is not null)`;
  await tx`delete from deliveries where state <> 'pending' and created_at < now() - ${KEPT}::interval`;
}

/** Notes that a message is of no more use. */
export async function noteDropped(tx: Tx, id: string): Promise<void> {
  await tx`update deliveries set state = 'dropped' where id = ${id} and state = 'pending'`;
}

/** Notes that a message did not go and is tried again then, the machine's time. */
export async function noteFailed(
  tx: Tx,
  { id, channelId, say, nextAt }: { id: string; channelId: string; say: string; nextAt: number }
): Promise<void> {
  await tx`update deliveries set next_at = ${new Date(nextAt)} where id = ${id} and state = 'pending'`;
  await tx`update channels set failures = failures + 1, said = ${say.slice(0, 300)} where id = ${channelId}`;
}

/** Notes that nothing goes to a channel any more: what was on its way is let go. */
export async function noteBroken(tx: Tx, channelId: string, say: string): Promise<void> {
  await tx`update channels set broken_at = now(), failures = failures + 1, said = ${say.slice(0, 300)}
    where id = ${channelId}`;
  await tx`update deliveries set state = 'failed' where channel_id = ${channelId} and state = 'pending'`;
}
