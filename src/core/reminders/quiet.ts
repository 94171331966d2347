import type { Rhythm } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';

/** Hours in which somebody is not to be disturbed, as clock time; over midnight where it ends before it begins. */
export interface Quiet {
  fromMin: number;
  untilMin: number;
}

/** A member's own hours, or else the household's night. */
const hoursOf = ({ sleepMin, wakeMin }: Rhythm, quiet: Quiet | null): Quiet =>
  quiet ?? { fromMin: sleepMin % 1440, untilMin: wakeMin };

/** Whether somebody is not to be disturbed at a moment. */
export function isQuiet(rhythm: Rhythm, quiet: Quiet | null, at: Millis): boolean {
  const { fromMin, untilMin } = hoursOf(rhythm, quiet);
  const minutes = rhythm.zone.minutes(at);
  return fromMin <= untilMin
    ? minutes >= fromMin && minutes < untilMin
    : minutes >= fromMin || minutes < untilMin;
}

/** When the quiet of a moment is over. */
export function quietEnds(rhythm: Rhythm, quiet: Quiet | null, at: Millis): Millis {
  const { untilMin } = hoursOf(rhythm, quiet);
  const { zone } = rhythm;
  const today = zone.at(zone.date(at), untilMin);
  return today > at ? today : zone.at(zone.date(at).add({ days: 1 }), untilMin);
}
