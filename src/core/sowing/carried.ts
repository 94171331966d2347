import type { Crop } from '../crops/crop.ts';
import type { Stay } from '../growth/forecast.ts';
import { usualWarmthRate } from '../places/air/rates.ts';
import { lightResponses, type Place } from '../places/place.ts';
import type { Path } from '../supplies/methods/path.ts';
import type { Zone } from '../time/zone.ts';
import type { SowingState } from './reduce.ts';
import type { SowingSetup } from './sowing.ts';

/** Where and when it is asked. */
interface Here {
  latitudeDeg: number;
  zone: Zone;
  startAt: number;
}

/** Whether what is sown at a place sprouts there in the dark and has to be carried to light: many do so in a cupboard. */
export const leavesForLight = ({ light }: Place, { lightFrom }: Pick<Path, 'lightFrom'>): boolean =>
  light.kind === 'dark' && lightFrom !== null && lightFrom !== 'sown';

/** Of some places that with light in which a crop grows fastest; null where none has any. */
function brightestFor(
  crop: Crop,
  places: Iterable<Place>,
  { latitudeDeg, zone, startAt }: Here
): Place | null {
  const day = zone.dayOfYear(startAt);
  let best: { place: Place; rate: number } | null = null;
  for (const place of places) {
    if (place.light.kind === 'dark') continue;
    const rate = usualWarmthRate(crop, place) * lightResponses(place, latitudeDeg)(day);
    if (!best || rate > best.rate) best = { place, rate };
  }
  return best?.place ?? null;
}

/** Where a crop is carried: as was chosen, where that has light, else where it grows fastest. */
export function lightPlaceFor(
  crop: Crop,
  chosenId: string | null,
  places: Iterable<Place>,
  here: Here
): Place | null {
  const all = [...places];
  const chosen = all.find(({ id, light }) => id === chosenId && light.kind !== 'dark');
  return chosen ?? brightestFor(crop, all, here);
}

/**
 * Where a sowing is carried as it comes to light: where it stood in light before, else as it was planned, else where it
 * would grow fastest, until somebody carries it. Null where it is not carried, or nowhere is light.
 */
export function carriedTo(
  { crop, path, setup }: { crop: Crop; path: Path; setup: Pick<SowingSetup, 'lightPlaceId'> },
  { litAt }: Pick<SowingState, 'litAt'>,
  stays: readonly Stay[],
  places: ReadonlyMap<string, Place>,
  here: Here
): Place | null {
  if (litAt !== null || !leavesForLight(stays.at(-1)!.place, path)) return null;
  const before = stays.findLast(({ place }) => place.light.kind !== 'dark')?.place;
  return before ?? lightPlaceFor(crop, setup.lightPlaceId, places.values(), here);
}
