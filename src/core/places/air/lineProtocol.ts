import { problem, type Problem } from '../../problem.ts';
import type { Millis } from '../../time/zone.ts';
import { celsiusOf } from '../../units/temperature.ts';
import type { Reading } from './reading.ts';

/** One line that was read, or what is wrong with it. */
export type ReadLine = { line: number } & ({ ok: true; reading: Reading } | { ok: false; problem: Problem });

/** How long one unit of a line's time is, ms. */
export const PRECISIONS = { ns: 1e-6, us: 1e-3, ms: 1, s: 1000 } as const;
export type Precision = keyof typeof PRECISIONS;

const TEMP_C = new Set(['temperature', 'temp', 'temperature_c', 'temp_c', 'tempc']);
const TEMP_F = new Set(['temperature_f', 'temp_f', 'tempf']);
const HUMIDITY = new Set(['humidity', 'rh', 'humidity_pct', 'relative_humidity']);

/**
 * Reads line protocol: `air,place=shelf temperature=21.3,humidity=55 1700000000000000000`, one reading a line.
 * The measurement's name and its tags are not looked at: a token says which place a device stands in.
 * Understood are `temperature` (degC; also `temp`), `temperature_f` (degF) and `humidity` (percent; also `rh`).
 * Comments and empty lines are passed over; a line without a time is of now.
 */
export function readLineProtocol(text: string, precision: Precision, now: Millis): ReadLine[] {
  return text.split(/\r?\n/).flatMap((raw, index): ReadLine[] => {
    const line = index + 1;
    const trimmed = raw.trim();
    if (trimmed === '' || trimmed.startsWith('#')) return [];
    // A blank within a name is written with a backslash, and is no end of it.
    const [, fields, time] = trimmed.split(/(?<!\\) +/);
    if (fields === undefined) return [{ line, ok: false, problem: problem('line-unread') }];
    const at = time === undefined ? now : Number(time) * PRECISIONS[precision];
    const values = new Map(
      fields.split(/(?<!\\),/).map((field) => {
        const [key = '', value = ''] = field.split('=');
        return [key.trim().toLowerCase(), Number(value.trim().replace(/[iu]$/, ''))] as const;
      })
    );
    const find = (names: ReadonlySet<string>) => [...values].find(([key]) => names.has(key))?.[1];
    const inC = find(TEMP_C);
    const inF = find(TEMP_F);
    const tempC = inC ?? (inF === undefined ? undefined : celsiusOf(inF));
    if (tempC === undefined) return [{ line, ok: false, problem: problem('line-no-temperature') }];
    if (!Number.isFinite(at))
      return [{ line, ok: false, problem: problem('line-no-time', { typed: time ?? '', precision }) }];
    return [{ line, ok: true, reading: { at: Math.round(at), tempC, humidityPct: find(HUMIDITY) ?? null } }];
  });
}
