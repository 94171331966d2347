import type { Millis } from '../time/zone.ts';
import type { Reminder, ReminderBody } from './reminder.ts';

/** A reminder that will be due, whose content is worked out once it is. */
export interface Candidate extends Omit<Reminder, 'body'> {
  /** Null where there turns out to be nothing to say. */
  body: (now: Millis) => ReminderBody | null;
}
