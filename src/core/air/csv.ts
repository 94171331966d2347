import { dsvFormat } from 'd3-dsv';
import { Temporal } from 'temporal-polyfill';
import type { Millis, Zone } from '../time/zone.ts';
import { readNumber } from '../units/parseQuantity.ts';
import { celsiusOf } from './reading.ts';
import type { ReadLine } from './lineProtocol.ts';

/** What a file of readings came to; `say` where not even its columns could be told. */
export type ReadCsv = { ok: true; lines: ReadLine[] } | { ok: false; say: string };

const TIME = /^(time|date|at|timestamp|when|zeit|fecha|datum)/i;
const TEMP = /(temp|°\s*c|°\s*f|grad)/i;
const IN_F = /°\s*f|fahrenheit|\(f\)|_f$/i;
const HUMIDITY = /(hum|rh|feucht|%)/i;

/**
 * Reads a CSV of readings with a header: a column of times, one of temperatures and, where there is one, one of
 * humidity. Comma, semicolon or tab; decimal points or commas; degF where the header says so. A time without a
 * zone is the household's.
 */
export function readReadingsCsv(text: string, zone: Zone): ReadCsv {
  const [header = ''] = text
    .replace(/^\uFEFF/, '')
    .trimStart()
    .split(/\r?\n/, 1);
  const delimiter = ['\t', ';', ','].find((one) => header.includes(one));
  if (!delimiter)
    return { ok: false, say: 'The first line must name the columns, such as: time,temperature,humidity' };
  const rows = dsvFormat(delimiter).parseRows(text.replace(/^\uFEFF/, '').trimStart());
  const names = rows[0]!.map((name) => name.trim());
  const time = names.findIndex((name) => TIME.test(name));
  const temp = names.findIndex((name, at) => at !== time && TEMP.test(name));
  const humidity = names.findIndex((name, at) => at !== time && at !== temp && HUMIDITY.test(name));
  if (time < 0 || temp < 0)
    return {
      ok: false,
      say: `The first line names ${names.join(', ')}: one must be a time and one a temperature, such as: time,temperature,humidity`
    };
  const inF = IN_F.test(names[temp]!);
  const lines = rows.slice(1).flatMap((row, index): ReadLine[] => {
    const line = index + 2;
    if (row.every((cell) => cell.trim() === '')) return [];
    const at = readTime(row[time] ?? '', zone);
    if (at === null)
      return [{ line, ok: false, say: `“${row[time] ?? ''}” is no time, such as 2026-11-23 07:30.` }];
    const degrees = readNumber((row[temp] ?? '').replace(/\s*°?\s*[cf]$/i, ''));
    if (degrees === null) return [{ line, ok: false, say: `“${row[temp] ?? ''}” is no temperature.` }];
    const typed = (humidity < 0 ? '' : (row[humidity] ?? '')).replace(/\s*%$/, '').trim();
    const damp = typed === '' ? null : readNumber(typed);
    if (typed !== '' && damp === null) return [{ line, ok: false, say: `“${typed}” is no humidity.` }];
    return [
      { line, ok: true, reading: { at, tempC: inF ? celsiusOf(degrees) : degrees, humidityPct: damp } }
    ];
  });
  return { ok: true, lines };
}

/** `2026-11-23T07:30Z`, `2026-11-23 07:30`, or seconds or milliseconds since 1970; null for none of them. */
export function readTime(text: string, zone: Zone): Millis | null {
  const typed = text.trim();
  if (/^\d{9,10}$/.test(typed)) return Number(typed) * 1000;
  if (/^\d{12,13}$/.test(typed)) return Number(typed);
  const iso = typed.replace(' ', 'T');
  try {
    if (/(Z|[+-]\d\d:?\d\d)$/i.test(iso)) return Temporal.Instant.from(iso).epochMilliseconds;
    return Temporal.PlainDateTime.from(iso).toZonedDateTime(zone.id).epochMilliseconds;
  } catch {
    return null;
  }
}
