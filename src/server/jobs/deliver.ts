import { t } from '../../messages/t.ts';
import { stillMatters } from '../../core/reminders/again.ts';
import type { ReminderBody } from '../../core/reminders/reminder.ts';
import { reminderWords } from '../../words/reminders.ts';
import { standingNow, type HouseholdStanding } from '../app/householdStanding.ts';
import { inHousehold, type Tx } from '../db/connection.ts';
import { findAccount, householdNow } from '../households/household.ts';
import { listMedia } from '../cupboard/media.ts';
import {
  findPending,
  noteBroken,
  noteDropped,
  noteFailed,
  noteSent,
  type Claimed,
  type Delivery
} from '../reminders/deliveries.ts';
import { memberLanguage } from '../language/choice.ts';
import { inLanguage } from '../language/reader.ts';
import { backoffMs } from '../reminders/backoff.ts';
import { remindersOf, type StoredReminder } from '../reminders/reminders.ts';
import { channelToken } from '../reminders/channelToken.ts';
import type { Message, MessagePart } from './channels/channel.ts';
import { sendOn } from './channels/registry.ts';

/** A message that is later than this is looked at again before it goes: what was done meanwhile is not asked for. */
const FRESH_MS = 2 * 60_000;
/** A channel that failed so often in a row, over so long, is taken for dead. */
const MOST_FAILURES = 12;
/**
 * Sends one message that was taken, and notes how it went. A process that dies in between leaves it to another, which sends
 * it again under the same id.
 * @param base where Brote is reached
 */
export async function deliver(
  { householdId, id }: Claimed,
  base: string
): Promise<'sent' | 'failed' | 'dropped'> {
  const taken = await inHousehold(householdId, async (tx) => {
    const delivery = await findPending(tx, id);
    const message =
      delivery && (await inReaders(delivery, () => messageOf(tx, householdId, id, delivery, base)));
    // Of a channel that broke meanwhile, or of no more use.
    if (!message) await noteDropped(tx, id);
    return delivery && message ? { delivery, message } : null;
  });
  if (!taken) return 'dropped';
  const { delivery, message } = taken;
  const sent = await inReaders(delivery, () => sendOn(delivery.channel, message));
  await inHousehold(householdId, async (tx) => {
    const { id: channelId } = delivery.channel;
    if (sent.ok) await noteSent(tx, id, channelId);
    else if (sent.gone || delivery.failures + 1 >= MOST_FAILURES) await noteBroken(tx, channelId, sent.say);
    else
      await noteFailed(tx, { id, channelId, say: sent.say, nextAt: Date.now() + backoffMs(delivery.tries) });
  });
  return sent.ok ? 'sent' : 'failed';
}

/** Does work whose words are for the member that a message goes to. */
const inReaders = <T>({ language }: Delivery, work: () => T): T => inLanguage(memberLanguage(language), work);

/** A message as it is to go now; null where nothing of it matters any more. */
async function messageOf(
  tx: Tx,
  householdId: string,
  id: string,
  { channel, isConfirmed, reminders, createdAt }: Delivery,
  base: string
): Promise<Message | null> {
  // An address that nobody confirmed is asked to, and told nothing.
  if (!isConfirmed && reminders.length > 0) return null;
  const [stored, household, media] = await Promise.all([
    remindersOf(tx, reminders),
    findAccount(tx),
    listMedia(tx)
  ]);
  const now = householdNow(household);
  const late = stored.length > 0 && Date.now() - createdAt > FRESH_MS;
  const standing = late ? await standingNow(tx, { orders: true }) : null;
  const parts = stored.flatMap((reminder): MessagePart[] => {
    const body = standing ? again(standing, reminder, now) : reminder.body;
    if (!body) return [];
    const { key, kind, dueAt } = reminder;
    return [{ key, kind, dueAt, body, words: reminderWords(body, now, household, media) }];
  });
  if (reminders.length > 0 && parts.length === 0) return null;
  const [first] = parts;
  return {
    id,
    householdId,
    household: household.name,
    title: !isConfirmed
      ? t('mail.confirm.subject')
      : !first
        ? t('mail.test.subject')
        : parts.length === 1
          ? first.words.title
          : t('mail.several.subject', { title: first.words.title, more: parts.length - 1 }),
    parts,
    base,
    unsubscribe: new URL(`/unsubscribe/${channelToken('unsubscribe', householdId, channel.id)}`, base).href,
    confirm: isConfirmed
      ? null
      : new URL(`/confirm/${channelToken('confirm', householdId, channel.id)}`, base).href,
    ttlS: stored.length === 0 ? 600 : (Math.max(...stored.map(({ until }) => until)) - now) / 1000
  };
}

const again = (
  { facts, projected, reminding }: HouseholdStanding,
  reminder: StoredReminder,
  now: number
): ReminderBody | null => stillMatters(facts, projected, reminding, reminder, now);
