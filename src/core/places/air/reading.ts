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
  { ok: true; reading: Reading } | { ok: false; say: string; fahrenheit: number | null };

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
  const refuse = (say: string, fahrenheit: number | null = null): CheckedReading => ({
    ok: false,
    say,
    fahrenheit
  });
  if (![sent.at, sent.tempC].every(Number.isFinite))
    return refuse('A reading needs a time and a temperature in °C, as numbers.');
  if (sent.at > now + MOST_AHEAD)
    return refuse('This reading lies ahead: set the clock of what measured it.');
  if (sent.at < now - OLDEST_READING_H * HOUR)
    return refuse('This reading is over three months old: it changes no tray that still stands.');
  const [coldest, hottest] = AIR_BOUNDS.tempC;
  if (sent.tempC < coldest || sent.tempC > hottest) {
    const read = celsiusOf(sent.tempC);
    const sane = read >= coldest && read <= hottest;
    return refuse(
      sane
        ? `${tidy(sent.tempC)} °C is no room: is it °F? That would be ${read.toFixed(1)} °C.`
        : `${tidy(sent.tempC)} °C is no room where trays stand, and as °F it would be ${read.toFixed(0)} °C: check the sensor.`,
      sane ? read : null
    );
  }
  const { humidityPct } = sent;
  const [driest, dampest] = AIR_BOUNDS.humidityPct;
  if (humidityPct !== null && !(humidityPct >= driest && humidityPct <= dampest))
    return refuse(`${tidy(humidityPct)} % is no humidity: it lies between ${driest} and ${dampest} %.`);
  return { ok: true, reading: sent };
}

const tidy = (value: number): string => String(Math.round(value * 10) / 10);
