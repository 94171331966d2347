import { problem } from '../../core/problem.ts';
import { problemWords } from '../../words/problems.ts';
import { readTime } from '../../core/places/air/readTime.ts';
import type { ReadLine } from '../../core/places/air/lineProtocol.ts';
import { checkReading, type Reading } from '../../core/places/air/reading.ts';
import type { Zone } from '../../core/time/zone.ts';

/** A reading that was not taken: which, why, and what it would be in degrees Fahrenheit where that makes sense. */
export interface RefusedReading {
  line: number;
  say: string;
  fahrenheit: number | null;
}

/** Readings of a JSON body as lines, counted from 1. */
export const readingLines = (
  sent: readonly { at?: string | number | null | undefined; tempC: number; humidityPct: number | null }[],
  zone: Zone,
  now: number
): ReadLine[] =>
  sent.map(({ at, tempC, humidityPct }, index) => {
    const moment = at === null || at === undefined ? now : typeof at === 'number' ? at : readTime(at, zone);
    return moment === null
      ? {
          line: index + 1,
          ok: false,
          problem: problem('time-unread', { typed: String(at), tooManyColumns: false })
        }
      : { line: index + 1, ok: true, reading: { at: moment, tempC, humidityPct } };
  });

/** Sorts what was sent into what can be taken and what cannot, with why. */
export function sift(
  lines: readonly ReadLine[],
  now: number
): { taken: Reading[]; refused: RefusedReading[] } {
  const taken: Reading[] = [];
  const refused: RefusedReading[] = [];
  for (const sent of lines) {
    const checked = sent.ok ? checkReading(sent.reading, now) : { ...sent, fahrenheit: null };
    if (checked.ok) taken.push(checked.reading);
    else
      refused.push({ line: sent.line, say: problemWords(checked.problem), fahrenheit: checked.fahrenheit });
  }
  return { taken, refused };
}
