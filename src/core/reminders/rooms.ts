import { airOf, BIN_MS, binIndex } from '../places/air/series.ts';
import { SILENT_H, silentAt } from '../places/air/silence.ts';
import type { Place } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import { nextWaking, type Rhythm } from '../time/rhythm.ts';
import { DAY, HOUR, MINUTE, type Millis } from '../time/zone.ts';
import type { Candidate } from './candidate.ts';

/** A place's readings, the last of each source. */
export interface LastRead {
  placeId: string;
  source: string;
  at: Millis;
}

/** A day's mean counts, of at least half its stretches. */
const STRETCHES = DAY / BIN_MS;
/** One warm spell is told of once; the next, after a cooler week. */
const SPELL_D = 7;

/** Mean of what was measured at a place in the last day, degC; null where too little was, or not of late. */
function measuredMeanC(place: Place, now: Millis): number | null {
  const air = airOf(place);
  if (!air) return null;
  const last = binIndex(now);
  const bins = Array.from({ length: STRETCHES }, (_, back) => air.bin(last - back)).filter(
    (bin) => bin !== null && bin !== undefined
  );
  return bins.length >= STRETCHES / 2 ? bins.reduce((sum, { tempC }) => sum + tempC, 0) / bins.length : null;
}

const standingIn = (projected: readonly Projected[], { id }: Place): Projected[] =>
  projected.filter(({ place, state }) => place.id === id && state.sownAt !== null && state.stage !== 'ended');

/** Rooms that were warmer for a day than a crop in them is to be kept, as measured: once in a warm spell. */
export const warmReminders = (
  projected: readonly Projected[],
  places: Iterable<Place>,
  rhythm: Rhythm,
  told: ReadonlySet<string>,
  now: Millis
): Candidate[] =>
  [...places].flatMap((place): Candidate[] => {
    const meanC = measuredMeanC(place, now);
    if (meanC === null) return [];
    const here = standingIn(projected, place).filter(({ crop }) => meanC >= crop.keepBelowC);
    if (here.length === 0) return [];
    const today = rhythm.zone.dayNumber(now);
    const key = (day: number) => `warm:${place.id}:${day}`;
    if (Array.from({ length: SPELL_D }, (_, back) => key(today - back)).some((one) => told.has(one)))
      return [];
    return [
      {
        key: key(today),
        kind: 'trouble',
        dueAt: nextWaking(rhythm, now),
        until: now + DAY,
        body: () => ({
          type: 'warm',
          placeId: place.id,
          placeName: place.name,
          tempC: meanC,
          crops: [...new Set(here.map(({ crop }) => crop.name))],
          keepBelowC: Math.min(...here.map(({ crop }) => crop.keepBelowC))
        })
      }
    ];
  });

/** Sensors that have fallen silent where something stands: once for each silence. */
export const silentReminders = (
  projected: readonly Projected[],
  places: Iterable<Place>,
  last: readonly LastRead[],
  rhythm: Rhythm
): Candidate[] =>
  [...places].flatMap((place): Candidate[] => {
    if (standingIn(projected, place).length === 0) return [];
    const here = last.filter(({ placeId }) => placeId === place.id);
    const since = silentAt(here, Infinity);
    if (since === null) return [];
    const dueAt = nextWaking(rhythm, since + SILENT_H * HOUR + MINUTE);
    return [
      {
        key: `silent:${place.id}:${since}`,
        kind: 'trouble',
        dueAt,
        until: dueAt + 5 * DAY,
        body: () => ({ type: 'silent', placeId: place.id, placeName: place.name, since })
      }
    ];
  });
