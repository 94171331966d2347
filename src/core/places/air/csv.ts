import { dsvFormat } from 'd3-dsv';
import { problem, type Problem } from '../../problem.ts';
import type { Zone } from '../../time/zone.ts';
import { readNumber } from '../../units/parseQuantity.ts';
import { celsiusOf } from '../../units/temperature.ts';
import { dayOrderOf, readTime } from './readTime.ts';
import type { ReadLine } from './lineProtocol.ts';

/** What a file of readings came to; a problem where not even its columns could be told. */
export type ReadCsv = { ok: true; lines: ReadLine[] } | { ok: false; problem: Problem };

const MOMENT = /^(timestamp|date ?\/? ?time|datetime|when|at|moment|fecha ?y ?hora|zeitstempel|horodat)/i;
const DAY = /^(date|day|fecha|d[ií]a|datum|tag|jour|data|giorno)/i;
const CLOCK = /^(time|hour|clock|hora|uhrzeit|zeit|heure|ora)/i;
const TEMP = /(temp|°\s*c|°\s*f|grad)/i;
const IN_F = /°\s*f|fahrenheit|\(f\)|_f$/i;
const HUMIDITY = /(hum|rh|feucht|%)/i;

/** A first line that it reads, as an example. */
export const READINGS_HEADER = 'time,temperature,humidity';

/** Which columns say when, what and how damp; -1 for one that is not there. */
interface Columns {
  /** A moment in one column, or a day with its time beside it. */
  moment: number;
  clock: number;
  temp: number;
  humidity: number;
}

function columnsOf(names: readonly string[]): Columns {
  const find = (pattern: RegExp, ...taken: number[]) =>
    names.findIndex((name, at) => !taken.includes(at) && pattern.test(name));
  const whole = find(MOMENT);
  const day = whole >= 0 ? -1 : find(DAY);
  const clock = whole >= 0 ? -1 : find(CLOCK, day);
  const moment = whole >= 0 ? whole : day >= 0 ? day : clock;
  const beside = day >= 0 ? clock : -1;
  const temp = find(TEMP, moment, beside);
  return { moment, clock: beside, temp, humidity: find(HUMIDITY, moment, beside, temp) };
}

/**
 * Reads a CSV of readings with a header: when, in one column or as a day and a time; a temperature; and where there
 * is one, a humidity. Comma, semicolon or tab; decimal points or commas; degF where the header says so. A time
 * without a zone is the household's. Days are read as 2026-11-23, 23.11.2026, or with slashes in whichever order the
 * file shows; where it shows none, it is refused rather than guessed.
 */
export function readReadingsCsv(text: string, zone: Zone): ReadCsv {
  const plain = text.replace(/^\uFEFF/, '').trimStart();
  if (plain.includes('\u0000')) return { ok: false, problem: problem('file-no-text') };
  const [header = ''] = plain.split(/\r?\n/, 1);
  const delimiter = ['\t', ';', ','].find((one) => header.includes(one));
  if (!delimiter) return { ok: false, problem: problem('file-no-header') };
  const rows = dsvFormat(delimiter).parseRows(plain);
  const names = (rows[0] ?? []).map((name) => name.trim());
  const { moment, clock, temp, humidity } = columnsOf(names);
  if (moment < 0 || temp < 0) return { ok: false, problem: problem('file-no-columns', { names }) };
  const whenOf = (row: readonly string[]): string =>
    [row[moment], clock < 0 ? '' : row[clock]]
      .map((cell) => (cell ?? '').trim())
      .join(' ')
      .trim();
  const order = dayOrderOf(rows.slice(1).map(whenOf));
  if (order === 'unclear')
    return { ok: false, problem: problem('file-day-or-month', { typed: whenOf(rows[1] ?? []) }) };
  // Between semicolons or tabs a comma is a decimal one, whatever stands behind it.
  const number = (cell: string) => readNumber(cell, delimiter === ',' ? 'ask' : 'decimal');
  const inF = IN_F.test(names[temp] ?? '');
  const lines = rows.slice(1).flatMap((row, index): ReadLine[] => {
    const line = index + 2;
    if (row.every((cell) => cell.trim() === '')) return [];
    const at = readTime(whenOf(row), zone, order);
    const wrong = (found: Problem): ReadLine[] => [{ line, ok: false, problem: found }];
    const tooManyColumns = row.length > names.length;
    if (at === null) return wrong(problem('time-unread', { typed: whenOf(row), tooManyColumns }));
    if (tooManyColumns) return wrong(problem('too-many-columns'));
    const degrees = number((row[temp] ?? '').replace(/\s*°?\s*[cf]$/i, ''));
    if (degrees === null) return wrong(problem('temperature-unread', { typed: row[temp] ?? '' }));
    const typed = (humidity < 0 ? '' : (row[humidity] ?? '')).replace(/\s*%$/, '').trim();
    const damp = typed === '' ? null : number(typed);
    if (typed !== '' && damp === null) return wrong(problem('humidity-unread', { typed }));
    return [
      { line, ok: true, reading: { at, tempC: inF ? celsiusOf(degrees) : degrees, humidityPct: damp } }
    ];
  });
  return { ok: true, lines };
}
