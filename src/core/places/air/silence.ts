import type { Place } from '../place.ts';
import { HOUR, type Millis } from '../../time/zone.ts';
import { lastMeasuredAt } from './series.ts';

/** Where readings come from that no device sent. */
const BY_HAND = ['hand', 'file'] as const;

/** Whether a device sent it, by where it came from. */
const isOfDevice = (source: string): boolean => !(BY_HAND as readonly string[]).includes(source);

/** A sensor that said nothing for this long is taken for silent: more than a day, so that a clock set on is none. */
export const SILENT_H = 26;

/** Since when a place's last reading has been all there is; null while it is fresh enough. */
export const silentSince = (lastAt: Millis, now: Millis): Millis | null =>
  now - lastAt > SILENT_H * HOUR ? lastAt : null;

/** After so long what a sensor said last counts no more. */
const FORGOTTEN_H = 72;

/** How far the household's own figures stand in for a sensor that was last heard then: half from 26 h on, wholly after three days. */
export function ownShareAt(lastAt: Millis, now: Millis): number {
  if (silentSince(lastAt, now) === null) return 0;
  return now - lastAt > FORGOTTEN_H * HOUR ? 1 : 0.5;
}

/** What was measured in a place, as it counted at a moment: once its sensor falls silent, what the household said counts more. */
export function measuredBy(air: string, at: Millis): Pick<Place, 'air' | 'ownShare'> {
  const ownShare = ownShareAt(lastMeasuredAt(air), at);
  return { air, ...(ownShare > 0 ? { ownShare } : {}) };
}

/** Since when a place's sensors have all been silent, by the last reading of each source; null while one speaks, or it has none. */
export function silentAt(last: readonly { at: Millis; source: string }[], now: Millis): Millis | null {
  const devices = last.filter(({ source }) => isOfDevice(source));
  return devices.length === 0 ? null : silentSince(Math.max(...devices.map(({ at }) => at)), now);
}
