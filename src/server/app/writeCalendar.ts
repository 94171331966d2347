import { language, t } from '../../messages/t.ts';
import ical, {
  ICalAlarmType,
  ICalCalendarMethod,
  type ICalCalendar,
  ICalEventTransparency
} from 'ical-generator';
import { orderEntries } from '../../core/ahead/orderReminders.ts';
import { calendarOf, type CalendarEntry } from '../../core/reminders/calendar.ts';
import { factsOf } from '../../core/sowing/household.ts';
import { storyOf } from '../../core/sowing/record.ts';
import { zoneOf } from '../../core/time/zone.ts';
import { calendarWords } from '../../words/calendar.ts';
import type { InTransaction } from '../db/connection.ts';
import { householdNow, type HouseholdAccount } from '../households/household.ts';
import { loadHousehold } from '../households/loadHousehold.ts';
import { Breath } from '../requests/breath.ts';
import { orderData, scheduleOf } from './ordersAhead.ts';
import { editionsOf, type Edition } from '../reminders/calendar.ts';
import { listUnderWay } from '../sowings/sowings.ts';

/** How often a calendar is to ask again. */
const REFRESH_S = 3600;

/**
 * So many entries are written at a time. The library writes a whole calendar without a pause, and takes some ms for a round of
 * many trays.
 */
const AT_ONCE = 10;
const END = 'END:VCALENDAR';

/**
 * The household as an iCalendar file (RFC 5545): rounds with what they ask for, soaks, and harvest windows. An entry keeps
 * its id, and gets a higher sequence whenever it changes. No connection is held while the entries are worked out.
 * @param base where Brote is reached
 */
export async function writeCalendar(inTx: InTransaction, base: string): Promise<string> {
  const { household, records, orders } = await inTx(async (tx) => {
    const [household, records] = await Promise.all([loadHousehold(tx), listUnderWay(tx)]);
    return { household, records, orders: await orderData(tx, { household, records }) };
  });
  const now = householdNow(household);
  const breath = new Breath();
  const entries = [
    ...(await breath.through(calendarOf(factsOf(household), records.map(storyOf), now))),
    ...orderEntries(orders ? await scheduleOf(orders) : [])
  ];
  const worded = new Map<string, Worded>();
  for (const entry of entries) {
    worded.set(entry.uid, {
      ...calendarWords(entry, household, household.media),
      ...timesOf(entry, household.zone)
    });
    await breath.taken();
  }
  const editions = await inTx((tx) => editionsOf(tx, household.id, worded));
  // Every part has the same head.
  const head = withEntries([]).slice(0, -END.length);
  const parts: string[] = [];
  for (let from = 0; from < entries.length; from += AT_ONCE) {
    parts.push(withEntries(entries.slice(from, from + AT_ONCE)).slice(head.length, -END.length));
    await breath.taken();
  }
  return [head, ...parts, END].join('');

  function withEntries(part: readonly CalendarEntry[]): string {
    const calendar = ical({
      name: `Brote, ${household.name}`,
      prodId: { company: 'Brote', product: 'Brote', language: language().toUpperCase() },
      method: ICalCalendarMethod.PUBLISH,
      ttl: REFRESH_S
    });
    for (const entry of part) addEntry(calendar, entry, worded.get(entry.uid)!, editions.get(entry.uid)!);
    return calendar.toString();
  }

  function addEntry(
    calendar: ICalCalendar,
    entry: CalendarEntry,
    { title, text, path, start, end, allDay }: Worded,
    edition: Edition
  ) {
    const changed = new Date(edition.changedAt);
    const event = calendar.createEvent({
      id: `${entry.uid}@${household.id}`,
      sequence: edition.sequence,
      stamp: changed,
      lastModified: changed,
      start: new Date(start),
      end: new Date(end),
      allDay,
      summary: title,
      description: text,
      url: new URL(path, base).href,
      transparency: ICalEventTransparency.TRANSPARENT
    });
    // A window is told of in the morning of its first day; a soak when it has to come out.
    if (entry.kind === 'round')
      event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: title });
    if (entry.kind !== 'round')
      event.createAlarm({
        type: ICalAlarmType.display,
        trigger: new Date(alarmOf(entry, household)),
        description: entry.kind === 'soak' ? t('errors.outWaterTitle', { title: title.toLowerCase() }) : title
      });
  }
}

/** A soak rings when it has to come out, what is to be begun at its beginning, a window at the first round of its first day. */
function alarmOf(entry: CalendarEntry, { zone, roundsMin }: HouseholdAccount): number {
  if (entry.kind === 'order') return entry.from;
  if (entry.kind !== 'window') return entry.until;
  const household = zoneOf(zone);
  return household.at(household.date(entry.from), roundsMin[0]!);
}

type Worded = ReturnType<typeof calendarWords> & ReturnType<typeof timesOf>;

/** When an entry is; a window's days as calendars have them, without a zone, and with the day after the last. */
function timesOf(entry: CalendarEntry, zone: string): { start: number; end: number; allDay: boolean } {
  if (entry.kind !== 'window') return { start: entry.from, end: entry.until, allDay: false };
  const day = (at: number, plus: number): number => {
    const date = zoneOf(zone).date(at).add({ days: plus });
    return Date.UTC(date.year, date.month - 1, date.day);
  };
  return { start: day(entry.from, 0), end: day(entry.until, 1), allDay: true };
}
