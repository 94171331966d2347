import { t } from '$messages/t.ts';
import { MINUTE, zoneOf } from '$core/time/zone.ts';
import { capital } from './capital.ts';
import { forReader } from './formats.ts';
import type { Units } from '$core/units/format.ts';

/** Where a household is, and how it measures: its clock goes round in 12 hours with US units. Dates are in the reader's language. */
export interface Locale {
  zone: string;
  units: Units;
}

const formatOf = forReader(
  (tag, zone: string, units: Units, options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat(tag, { timeZone: zone, hour12: units === 'us', ...options })
);

const format = (at: number, { zone, units }: Locale, options: Intl.DateTimeFormatOptions): string =>
  formatOf(zone, units, options).format(at);

/** `07:30`, or `7:30 AM`. */
export const clockTime = (at: number, locale: Locale): string =>
  format(at, locale, { hour: locale.units === 'us' ? 'numeric' : '2-digit', minute: '2-digit' });

/** A time of day, from minutes past midnight, by the household's clock. */
export const timeOfDay = (minutes: number, locale: Locale): string =>
  clockTime(minutes * MINUTE, { ...locale, zone: 'UTC' });

/** A round by its time of day: `Morning round, 07:30`; one past midnight belongs to the evening before. */
export function roundName(at: number, locale: Locale): string {
  const hour = zoneOf(locale.zone).minutes(at) / 60;
  const part = hour < 4 || hour >= 16 ? 'evening' : hour < 11 ? 'morning' : 'midday';
  return t('time.roundAt', { part, clockTime: clockTime(at, locale) });
}

/** `Thursday`. */
const weekday = (at: number, locale: Locale): string => format(at, locale, { weekday: 'long' });

/** `Thu 26 Nov`. */
export const shortDate = (at: number, locale: Locale): string =>
  format(at, locale, { weekday: 'short', day: 'numeric', month: 'short' });

/** `Thu 26 Nov 2026`, for what may be of any year. */
export const dateWithYear = (at: number, locale: Locale): string =>
  `${shortDate(at, locale)} ${format(at, locale, { year: 'numeric' })}`;

/** `26 Nov 2026`. */
export const dateAlone = (at: number, locale: Locale): string =>
  format(at, locale, { day: 'numeric', month: 'short', year: 'numeric' });

/** Whole calendar days from `now` to `at` in the household's zone. */
export const daysAway = (at: number, now: number, zone: string): number => zoneOf(zone).daysBetween(now, at);

/** A day as it is said: today, tomorrow, a weekday within the week, otherwise a date. */
export function dayWords(at: number, now: number, locale: Locale): string {
  const days = daysAway(at, now, locale.zone);
  if (days === 0) return t('time.today');
  if (days === 1) return t('time.tomorrow');
  if (days === -1) return t('time.terday');
  return days > 1 && days < 7 ? weekday(at, locale) : shortDate(at, locale);
}

/**
 * From one day to another: weekdays where both are within the week, otherwise dates.
 * @example `Wednesday to Saturday`, `today to Friday`, `8–12 Dec`, `30 Nov – 3 Dec`
 */
export function daysBetween(from: number, to: number, now: number, locale: Locale): string {
  if (daysAway(to, now, locale.zone) < 7)
    return t('time.fromDayToDay', { from: dayWords(from, now, locale), to: dayWords(to, now, locale) });
  return formatOf(locale.zone, locale.units, { day: 'numeric', month: 'short' }).formatRange(from, to);
}

/** A day with its clock time: `tomorrow 07:30`. */
export const dayAndTime = (at: number, now: number, locale: Locale): string =>
  `${dayWords(at, now, locale)} ${clockTime(at, locale)}`;

/** The same at the beginning of a line: `Tomorrow 07:30`. */
export const dayAndTimeAlone = (at: number, now: number, locale: Locale): string =>
  capital(dayAndTime(at, now, locale));

/** That a touch stands at another time than this page's clock showed. */
export const clockChangedWords = (at: number, now: number, locale: Locale): string =>
  t('time.serversClockWasChangedRecorded', { dayAndTime: dayAndTime(at, now, locale) });

/** From one moment to another: `Today 20:30 to tomorrow 07:00`, `Today 08:00 to 17:00`. */
export function fromTo(from: number, until: number, now: number, locale: Locale): string {
  const sameDay = daysAway(until, from, locale.zone) === 0;
  const words = t('time.dayandtimeValue', {
    dayAndTime: dayAndTime(from, now, locale),
    value: sameDay ? clockTime(until, locale) : dayAndTime(until, now, locale)
  });
  return capital(words);
}

/** The calendar day of a moment as `YYYY-MM-DD`, for date fields. */
export const isoDay = (at: number, zone: string): string => zoneOf(zone).date(at).toString();

/** Days and hours between two moments in words: `2 days`, `5 h`. */
export function spanWords(ms: number): string {
  const hours = Math.abs(ms) / 3_600_000;
  if (hours < 1) return t('time.maxMin', { max: Math.max(1, Math.round(hours * 60)) });
  return hours < 36 ? `${Math.round(hours)} h` : t('time.hoursDays', { hours: Math.round(hours / 24) });
}
