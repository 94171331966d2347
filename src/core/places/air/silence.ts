import { HOUR, type Millis } from '../../time/zone.ts';

/** A sensor that said nothing for this long is taken for silent: more than a day, so that a clock set on is none. */
export const SILENT_H = 26;

/** Since when a place's last reading has been all there is; null while it is fresh enough. */
export const silentSince = (lastAt: Millis, now: Millis): Millis | null =>
  now - lastAt > SILENT_H * HOUR ? lastAt : null;
