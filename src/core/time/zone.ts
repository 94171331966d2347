import { Temporal } from 'temporal-polyfill';

/** A moment as milliseconds since 1970-01-01T00:00Z; the core's numeric form of `Temporal.Instant`. */
export type Millis = number;

export const MINUTE = 60_000;
export const HOUR = 3_600_000;
/** 24 elapsed hours, not a calendar day: on two days a year a calendar day is an hour off. */
export const DAY = 24 * HOUR;

interface Span {
  from: Millis;
  until: Millis;
  offset: number;
}

/**
 * One IANA time zone. Offsets come from Temporal once per span between two clock changes and are then
 * arithmetic, because a page asks for hundreds of local times.
 */
export class Zone {
  private spans: Span[] = [];
  /** The year last asked about, in day numbers: a forecast asks for its days one by one. */
  private year = { from: 0, until: 0 };

  constructor(readonly id: string) {
    this.span(0);
  }

  private span(at: Millis): Span {
    for (const span of this.spans) if (at >= span.from && at < span.until) return span;
    const zoned = Temporal.Instant.fromEpochMilliseconds(Math.floor(at)).toZonedDateTimeISO(this.id);
    const next = zoned.getTimeZoneTransition('next');
    const last = zoned.add({ nanoseconds: 1 }).getTimeZoneTransition('previous');
    const span = {
      from: last ? last.epochMilliseconds : -Infinity,
      until: next ? next.epochMilliseconds : Infinity,
      offset: zoned.offsetNanoseconds / 1e6
    };
    this.spans.push(span);
    return span;
  }

  /** What local clocks add to UTC at that moment, in ms. */
  offset(at: Millis): number {
    return this.span(at).offset;
  }

  /** The calendar day of a moment, as a PlainDate. */
  date(at: Millis): Temporal.PlainDate {
    const local = new Date(at + this.offset(at));
    return new Temporal.PlainDate(local.getUTCFullYear(), local.getUTCMonth() + 1, local.getUTCDate());
  }

  /** Minutes shown by the clock since 00:00, 0 to 1439. */
  minutes(at: Millis): number {
    const local = at + this.offset(at);
    return Math.floor((((local % DAY) + DAY) % DAY) / MINUTE);
  }

  /** Calendar days from 1970-01-01 to the day of a moment. */
  dayNumber(at: Millis): number {
    return Math.floor((at + this.offset(at)) / DAY);
  }

  /**
   * Calendar days between two moments, the one count of days that is shown: what was sown on Monday is on day 3 all Thursday.
   * Negative where `at` is before `from`.
   */
  daysBetween(from: Millis, at: Millis): number {
    return this.dayNumber(at) - this.dayNumber(from);
  }

  /** Day of the year, 1 to 366. */
  dayOfYear(at: Millis): number {
    const day = this.dayNumber(at);
    if (day < this.year.from || day >= this.year.until) {
      const year = new Date(day * DAY).getUTCFullYear();
      this.year = { from: Date.UTC(year, 0, 1) / DAY, until: Date.UTC(year + 1, 0, 1) / DAY };
    }
    return 1 + day - this.year.from;
  }

  /**
   * The moment clocks show `minutes` past 00:00 on `date`; from 1440 on, the day after. A time the clock change skips is the moment as
   * long after the change; one that comes twice is the first (Temporal's "compatible").
   */
  at(date: Temporal.PlainDate, minutes: number): Millis {
    if (minutes >= 1440) return this.at(date.add({ days: Math.floor(minutes / 1440) }), minutes % 1440);
    const wall = Date.UTC(date.year, date.month - 1, date.day) + minutes * MINUTE;
    const before = this.offset(wall - DAY);
    if (before === this.offset(wall + DAY)) return wall - before;
    const time = new Temporal.PlainTime(Math.floor(minutes / 60), minutes % 60);
    return date.toZonedDateTime({ timeZone: this.id, plainTime: time }).epochMilliseconds;
  }
}

/** The moment at which clocks in `to` show what they show in `from` at a moment, on the same date. */
export const sameClockTime = (at: Millis, from: Zone, to: Zone): Millis =>
  to.at(from.date(at), from.minutes(at));

const zones = new Map<string, Zone>();

/**
 * The zone of an IANA name, kept between calls.
 * @throws RangeError where the name is not a time zone.
 */
export function zoneOf(id: string): Zone {
  let zone = zones.get(id);
  if (!zone) {
    zone = new Zone(id);
    zones.set(id, zone);
  }
  return zone;
}
