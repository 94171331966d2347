import type { ChannelAddresses, ChannelKind } from '../../../contract/reminders.ts';
import type { ReminderBody } from '../../../core/reminders/reminder.ts';
import type { ReminderWords } from '../../../words/reminders.ts';

/** One reminder in a message. */
export interface MessagePart {
  key: string;
  kind: string;
  dueAt: number;
  words: ReminderWords;
  body: ReminderBody | null;
}

/** What goes out on a channel. */
export interface Message {
  /** The same for every try: how whoever receives it tells a second one apart. */
  id: string;
  householdId: string;
  household: string;
  title: string;
  parts: MessagePart[];
  /** Where Brote is reached, with a slash at its end. */
  base: string;
  /** Takes this channel away without signing in. */
  unsubscribe: string;
  /** Where whoever reads it confirms that it may be written to; null where that was done, or need not be. */
  confirm: string | null;
  /** Seconds for which it is of use. */
  ttlS: number;
}

/** How a try went. `gone`: nothing will ever go there. */
export type SendResult = { ok: true } | { ok: false; say: string; gone: boolean };

/** One way to reach a member. */
export interface ChannelType<K extends ChannelKind> {
  /**
   * What a crash between sending and noting it leaves: each is sent again under the same id, by which it is told apart as
   * said here.
   */
  toldApartBy: string;
  send(address: ChannelAddresses[K], message: Message): Promise<SendResult>;
}

/** A try that failed and may succeed later. */
export const failed = (say: string): SendResult => ({ ok: false, say, gone: false });
/** A try that tells that nothing will ever go there. */
export const gone = (say: string): SendResult => ({ ok: false, say, gone: true });
