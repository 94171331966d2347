import { Temporal } from 'temporal-polyfill';
import type { DayOrder } from '../../time/readDay.ts';
import type { Millis, Zone } from '../../time/zone.ts';

const YEAR_LAST = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})(?:[T,\s]+(.*))?$/;
const CLOCK = /^(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*(am|pm|a\.m\.|p\.m\.)?$/i;

/**
 * In which order the days of a file are written, from all of them together: a number over 12 is no month. With
 * points it is the day first. `unclear` where they could be either; day first where none is written so.
 */
export function dayOrderOf(times: readonly string[]): DayOrder | 'unclear' {
  let [asDay, asMonth, either] = [false, false, false];
  for (const typed of times) {
    const [, first, sign, second] = YEAR_LAST.exec(typed.trim()) ?? [];
    if (first === undefined || sign === '.') continue;
    if (Number(first) > 12) asDay = true;
    else if (Number(second) > 12) asMonth = true;
    else either = true;
  }
  if (asDay && asMonth) return 'unclear';
  if (asDay) return 'day-first';
  if (asMonth) return 'month-first';
  return either ? 'unclear' : 'day-first';
}

/**
 * `2026-11-23T07:30Z`, `2026-11-23 07:30`, `23.11.2026 07:30`, `11/23/2026 7:30 pm`, or seconds or milliseconds
 * since 1970; null for none of them. A day needs its time: a reading of a whole day is of no moment.
 * @param zone of a time that names none
 */
export function readTime(text: string, zone: Zone, order: DayOrder = 'day-first'): Millis | null {
  const typed = text.trim();
  if (/^\d{9,10}$/.test(typed)) return Number(typed) * 1000;
  if (/^\d{12,13}$/.test(typed)) return Number(typed);
  const yearFirst = typed.replace(/^(\d{4})[./](\d{1,2})[./](\d{1,2})/, (_all, year, month, day) =>
    [year, pad(month as string), pad(day as string)].join('-')
  );
  const local = YEAR_LAST.exec(yearFirst);
  try {
    if (local) {
      const [, first = '', sign = '', second = '', year = '', clock = ''] = local;
      const [day, month] = sign === '.' || order === 'day-first' ? [first, second] : [second, first];
      return inZone(`${year}-${pad(month)}-${pad(day)}`, clock, zone);
    }
    const [, date, rest] = /^(\d{4}-\d{2}-\d{2})[T,\s]+(.+)$/i.exec(yearFirst) ?? [];
    if (date === undefined || rest === undefined) return null;
    if (/(Z|[+-]\d\d:?\d\d)$/i.test(rest))
      return Temporal.Instant.from(`${date}T${rest.replace(/\s+/g, '')}`).epochMilliseconds;
    return inZone(date, rest, zone);
  } catch {
    return null;
  }
}

const pad = (part: string): string => part.padStart(2, '0');

/** @throws RangeError where the day or the time is none */
function inZone(date: string, clock: string, zone: Zone): Millis | null {
  const [, hour, minute, second = '0', half] = CLOCK.exec(clock.trim()) ?? [];
  if (hour === undefined || minute === undefined) return null;
  const afternoon = half?.toLowerCase().startsWith('p');
  if (half && (Number(hour) < 1 || Number(hour) > 12)) return null;
  const hours = half ? (Number(hour) % 12) + (afternoon ? 12 : 0) : Number(hour);
  return Temporal.PlainDate.from(date, { overflow: 'reject' })
    .toPlainDateTime(
      Temporal.PlainTime.from(
        { hour: hours, minute: Number(minute), second: Number(second) },
        { overflow: 'reject' }
      )
    )
    .toZonedDateTime(zone.id).epochMilliseconds;
}
