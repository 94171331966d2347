import type { CalendarEntry } from '../reminders/calendar.ts';
import type { Candidate } from '../reminders/candidate.ts';
import type { OnOrder } from '../reminders/reminder.ts';
import { roundAt, type Rhythm } from '../time/rhythm.ts';
import { DAY, MINUTE, type Millis } from '../time/zone.ts';
import type { OrderDraft } from './standingOrder.ts';

/** What drafts say of themselves, those that can be begun. */
export const onOrderOf = (drafts: readonly OrderDraft[]): OnOrder[] => drafts.flatMap(onOrder);

function onOrder({ orderId, day, planned, beginsAt }: OrderDraft): OnOrder[] {
  if (!planned || beginsAt === null) return [];
  const { crop, place } = planned.projected;
  const { container, count, sowAt } = planned.setup;
  return [
    {
      orderId,
      day,
      crop: crop.name,
      of: { container, count, trayNo: null },
      placeName: place.name,
      soaks: beginsAt < sowAt,
      beginsAt
    }
  ];
}

/**
 * What standing orders are to be reminded of: at the round at which each is begun, once for each day of
 * its rule.
 */
export function orderReminders(onOrder: readonly OnOrder[], rhythm: Rhythm, now: Millis): Candidate[] {
  return onOrder.flatMap((one): Candidate[] => {
    if (one.beginsAt > now + 1.5 * DAY) return [];
    const round = roundAt(rhythm, one.beginsAt);
    return [
      {
        key: `order:${one.orderId}:${one.day}`,
        kind: 'round',
        dueAt: Math.min(round.at, one.beginsAt),
        until: one.beginsAt + DAY,
        body: () => ({ type: 'order', ...one })
      }
    ];
  });
}

/** What a beginning takes in a calendar. */
const BEGIN_MIN = 15;

/** What standing orders lay, as a calendar has it: each on the day on which it is to be begun. */
export const orderEntries = (onOrder: readonly OnOrder[]): CalendarEntry[] =>
  onOrder.map((one) => ({
    uid: `order-${one.orderId}-${one.day}`,
    kind: 'order',
    from: one.beginsAt,
    until: one.beginsAt + BEGIN_MIN * MINUTE,
    ...one
  }));
