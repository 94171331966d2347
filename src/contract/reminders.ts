import type { ReminderBody, ReminderKind } from '../core/reminders/reminder.ts';

/** What a channel is reached by, by its kind; the registry in `server/jobs/channels` does not compile without each. */
export interface ChannelAddresses {
  /** A browser's subscription, as the Push API gives it. */
  push: { endpoint: string; keys: { p256dh: string; auth: string } };
  mail: { to: string };
  webhook: { url: string; secret: string };
}
export type ChannelKind = keyof ChannelAddresses;

/** A channel as its member sees it: nothing of it that is secret. */
export interface ShownChannel {
  id: string;
  kind: ChannelKind;
  name: string;
  kinds: ReminderKind[];
  /** Nothing goes there any more, until it is turned on again. */
  broken: boolean;
  /** Whether the address is confirmed; nothing else is sent to it before. */
  confirmed: boolean;
  /** Why the last try failed; null where it went. */
  said: string | null;
  lastSentAt: number | null;
  /** Messages on their way. */
  waiting: number;
}

/** A reminder as it was told. */
export interface ToldReminder {
  id: string;
  kind: ReminderKind;
  toldAt: number;
  body: ReminderBody;
}

/** What a secret address shows: entries for a calendar, or the round on a display. */
export const FEED_KINDS = ['calendar', 'display'] as const;
export type FeedKind = (typeof FEED_KINDS)[number];

/** A secret address that reads, as its member sees it. */
export interface SecretFeed {
  id: string;
  kind: FeedKind;
  createdAt: number;
  /** When it was last read; null where it never was. */
  readAt: number | null;
}
