import { Temporal } from 'temporal-polyfill';

/** In which order day, month and year are written where all three are numbers of one or two digits, or the year is last. */
export const DAY_ORDERS = ['day-first', 'month-first', 'year-first'] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];

/** Languages whose names of months and weekdays are read. */
const LANGUAGES = ['en', 'es', 'fr', 'de', 'it', 'pt', 'nl', 'pl'];

/** Words between the parts of a date. */
const BETWEEN = new Set(['de', 'del', 'of', 'the', 'den', 'der', 'le', 'el', 'il']);

const folded = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/[łŁ]/g, 'l').replace(/[.’']/g, '');

/** The names that `Intl` gives a part of some dates, each with the index of its date. */
function namesOf(dates: readonly Date[], of: 'month' | 'weekday'): ReadonlyMap<string, number> {
  const names = new Map<string, number>();
  for (const language of LANGUAGES)
    for (const width of ['long', 'short'] as const)
      for (const beside of [{}, { day: 'numeric' as const }]) {
        const format = new Intl.DateTimeFormat(language, { [of]: width, ...beside, timeZone: 'UTC' });
        dates.forEach((date, index) => {
          const name = format.formatToParts(date).find(({ type }) => type === of)?.value;
          if (name) names.set(folded(name), index);
        });
      }
  return names;
}

let months: ReadonlyMap<string, number> | null = null;
let weekdays: ReadonlyMap<string, number> | null = null;

/** The month of a name or of at least three letters that begin only one, 1 to 12; null for no month. */
function monthOf(word: string): number | null {
  months ??= namesOf(
    Array.from({ length: 12 }, (_, month) => new Date(Date.UTC(2026, month, 15))),
    'month'
  );
  const exact = months.get(word);
  if (exact !== undefined) return exact + 1;
  if (word.length < 3) return null;
  const found = new Set([...months].flatMap(([name, month]) => (name.startsWith(word) ? [month] : [])));
  return found.size === 1 ? [...found][0]! + 1 : null;
}

const isWeekday = (word: string): boolean => {
  weekdays ??= namesOf(
    Array.from({ length: 7 }, (_, day) => new Date(Date.UTC(2026, 0, 4 + day))),
    'weekday'
  );
  return weekdays.has(word);
};

interface Part {
  /** Null for a name. */
  number: number | null;
  digits: number;
  month: number | null;
}

/** The three parts of a date in the order they are written; null where there are more, fewer or others. */
function partsOf(text: string): Part[] | null {
  const words = text
    .trim()
    .split(/[\s,/-]+|\.(?=\s|\d|\p{L})/u)
    .map((word) => folded(word))
    .filter((word) => word !== '' && !BETWEEN.has(word));
  const named = words.length === 4 && isWeekday(words[0]!) ? words.slice(1) : words;
  if (named.length !== 3) return null;
  const parts = named.map((word): Part | null => {
    const [, digits] = /^(\d{1,4})(?:st|nd|rd|th|er|e|o|a|º|ª)?$/.exec(word) ?? [];
    if (digits !== undefined) return { number: Number(digits), digits: digits.length, month: null };
    const month = monthOf(word);
    return month === null ? null : { number: null, digits: 0, month };
  });
  return parts.every((part) => part !== null) ? parts : null;
}

const CENTURY = 2000;
const yearOf = ({ number, digits }: Part): number | null =>
  number === null ? null : digits === 4 ? number : digits === 2 ? CENTURY + number : null;

/** Which of three parts is the year, the month and the day; null where they cannot be that. */
function assigned(
  [first, second, third]: readonly [Part, Part, Part],
  order: DayOrder,
  pointed: boolean
): { year: Part; month: Part; day: Part } | null {
  if (first.digits === 4) return { year: first, month: second, day: third };
  if (second.month !== null)
    return order === 'year-first' && third.digits < 4
      ? { year: first, month: second, day: third }
      : { year: third, month: second, day: first };
  if (first.month !== null) return { year: third, month: first, day: second };
  if (order === 'year-first') return third.digits < 3 ? { year: first, month: second, day: third } : null;
  return order === 'day-first' || pointed
    ? { year: third, month: second, day: first }
    : { year: third, month: first, day: second };
}

/**
 * Reads a calendar day as people write it: `2026-11-23`, `23.11.2026`, `11/23/26`, `4 Dec 2025`, `Dec 4th, 2025`,
 * `4 de diciembre de 2025`, `20251204`. With points between numbers the day comes first, whatever the order. A year of two
 * digits is of this century.
 * @returns null for anything else, and for a day that no calendar has
 */
export function readDay(text: string, order: DayOrder): Temporal.PlainDate | null {
  const [, ...compact] = /^(\d{4})(\d{2})(\d{2})$/.exec(text.trim()) ?? [];
  const parts = partsOf(compact.length === 3 ? compact.join('-') : text);
  if (!parts) return null;
  const pointed = /^\s*\d{1,2}\.\s?\d{1,2}\./.test(text);
  const found = assigned(parts as [Part, Part, Part], order, pointed);
  if (!found) return null;
  const year = yearOf(found.year);
  const month = found.month.month ?? (found.month.digits < 3 ? found.month.number : null);
  const day = found.day.digits < 3 ? found.day.number : null;
  if (year === null || month === null || day === null) return null;
  // Most readings in a wrong order fail here, far sooner than by an exception.
  if (month < 1 || month > 12 || day < 1 || day > 31) return null;
  try {
    return Temporal.PlainDate.from({ year, month, day }, { overflow: 'reject' });
  } catch {
    return null;
  }
}

/**
 * The orders in which the days of a file can be read, the likeliest first. More than one where its days do not tell: then
 * somebody has to say. Orders that read all days alike are one.
 * @param rows days that follow one another within a row, as typed; a row that runs backwards or past `latest`, or takes
 * over `mostD` days, speaks against its order
 */
export function dayOrders(
  rows: readonly (readonly string[])[],
  { latest, mostD }: { latest: Temporal.PlainDate; mostD: number }
): DayOrder[] {
  const judged = DAY_ORDERS.map((order) => {
    const read = rows.map((row) => row.map((typed) => readDay(typed, order)));
    const good = read.filter((days) => {
      if (!days.every((day) => day !== null)) return false;
      const spans = days.slice(1).map((day, at) => days[at]!.until(day).days);
      return (
        days.every((day) => Temporal.PlainDate.compare(day, latest) <= 0) &&
        spans.every((span) => span >= 0 && span <= mostD)
      );
    });
    return { order, good: good.length, as: JSON.stringify(read) };
  });
  const most = Math.max(...judged.map(({ good }) => good));
  const seen = new Set<string>();
  return judged
    .filter(({ good }) => good === most)
    .filter(({ as }) => !seen.has(as) && seen.add(as))
    .map(({ order }) => order);
}
