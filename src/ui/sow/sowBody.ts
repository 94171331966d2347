import type { Portion } from '$core/ahead/glut.ts';
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
export function sowBody(draft: Draft, worked: Worked, ids: FormIds) {
  const parts = draft.kind === 'one' ? draft.parts.slice(0, 1) : draft.parts;
  return {
    ids,
    kind: draft.kind,
    parts: parts.map(({ cropKey, lotId }, index) => ({
      cropKey,
      lotId: lotId || null,
      share: worked.choice?.parts[index]?.share ?? 1
    })),
    shareOf: draft.shareOf,
    staggered: draft.staggered,
    container: worked.choice?.container ?? draft.container,
    count: worked.count,
    medium: draft.medium,
    mediumId: draft.mediumId || null,
    methodKey: draft.methodKey,
    method: draft.method,
    placeId: draft.newPlace?.id ?? draft.placeId,
    lightPlaceId: worked.sowings[0]?.setup.lightPlaceId ?? null,
    newPlace: draft.newPlace,
    density: draft.density,
    seedsPerCm2: typeof worked.choice?.density === 'number' ? worked.choice.density : null,
    ownSeedG: draft.ownSeedG,
    germinationPct: worked.choice?.germinationPct ?? null,
    soakH: worked.choice?.soakH ?? null,
    stackOf: worked.choice?.stackOf ?? null,
    readyBy: draft.when === 'by' ? draft.readyBy : null,
    shownSeedG: worked.sowings.map(({ setup }) => setup.seedG)
  };
}

/** The same begun in turn, as it was offered: one sowing a day. */
export function spreadBodies(
  whole: ReturnType<typeof sowBody>,
  portions: readonly Portion[],
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
