import { problem, type Problem } from '../../problem.ts';
import { celsiusOf } from '../../units/temperature.ts';
import { HOUR, MINUTE, type Millis } from '../../time/zone.ts';

/** What somebody or something measured at a place. */
export interface Reading {
  at: Millis;
  tempC: number;
  /** Relative humidity; null where it was not measured. */
  humidityPct: number | null;
}

/** A reading that was taken, or why it was not; `fahrenheit` is what it would be, were it degrees Fahrenheit. */
export type CheckedReading =
  { ok: true; reading: Reading } | { ok: false; problem: Problem; fahrenheit: number | null };

/** What the air of a room with trays in it can be. */
export const AIR_BOUNDS = { tempC: [-10, 50], humidityPct: [1, 100] } as const;
/** A device's clock may run this far ahead of the household's. */
const MOST_AHEAD = 10 * MINUTE;
/** Older readings change no tray that still stands. */
export const OLDEST_READING_H = 24 * 90;

/**
 * Checks a reading: what cannot be the air of a room is refused with what to do, and where it would make
 * sense in degrees Fahrenheit, that is offered.
 * @param now the household's time
 */
export function checkReading(sent: Reading, now: Millis): CheckedReading {
  const refuse = (found: Problem, fahrenheit: number | null = null): CheckedReading => ({
    ok: false,
    problem: found,
    fahrenheit
  });
  if (![sent.at, sent.tempC].every(Number.isFinite)) return refuse(problem('reading-no-number'));
  if (sent.at > now + MOST_AHEAD) return refuse(problem('reading-ahead'));
  if (sent.at < now - OLDEST_READING_H * HOUR) return refuse(problem('reading-old'));
  const { tempC, humidityPct } = sent;
  const [low, high] = AIR_BOUNDS.tempC;
  if (tempC < low || tempC > high) {
    const read = celsiusOf(tempC);
    return refuse(
      problem('reading-temperature', { tempC, low, high }),
      read >= low && read <= high ? read : null
    );
  }
  const [driest, dampest] = AIR_BOUNDS.humidityPct;
  if (humidityPct !== null && !(humidityPct >= driest && humidityPct <= dampest))
    return refuse(problem('reading-humidity', { humidityPct, low: driest, high: dampest }));
  return { ok: true, reading: sent };
}
