import type { SpreadPart } from '$core/ahead/glut.ts';
import { DAY, type Millis } from '$core/time/zone.ts';
import { isoDay } from '$words/time.ts';
import { v4 as newId } from 'uuid';
import type { Draft, Worked } from './draft.ts';

/** Made once a form, so that sending it twice makes one sowing (or two, of halves). */
export interface FormIds {
  first: string;
  second: string;
  container: string;
}
export const newIds = (): FormIds => ({ first: newId(), second: newId(), container: newId() });

/** What was chosen, as it is sent; the server works out the same from it. */
export const sowBody = ({ newPlace }: Draft, { data, sowings }: Worked, ids: FormIds) => ({
  ...data,
  ids,
  newPlace,
  // Where it was shown to be carried.
  lightPlaceId: sowings[0]?.setup.lightPlaceId ?? null,
  shownSeedG: sowings.map(({ setup }) => setup.seedG)
});

/** The same begun in turn, as it was offered: one sowing a day. */
export function spreadBodies(
  whole: ReturnType<typeof sowBody>,
  portions: readonly SpreadPart[],
  { now, zone }: { now: Millis; zone: string }
) {
  return portions.map(({ days, count }, nth) => ({
    ...whole,
    ids: nth === 0 ? whole.ids : newIds(),
    newPlace: nth === 0 ? whole.newPlace : null,
    count,
    ownSeedG: whole.ownSeedG === null ? null : (whole.ownSeedG * count) / whole.count,
    shownSeedG: null,
    readyBy: null,
    beginOn: isoDay(now + days * DAY, zone)
  }));
}
