import { coolerPlace, tooWarm } from '$core/places/air/warmth.ts';
import type { Place } from '$core/places/place.ts';
import type { Crop } from '$core/crops/crop.ts';
import { temperature, type Units } from '$core/units/format.ts';

/** That a place is too warm for a crop, in a sentence, and where it would be cooler; empty where it is not. */
export function warmthWords(crop: Crop, place: Place, among: Iterable<Place>, units: Units): string {
  const warm = tooWarm(crop, place);
  if (!warm) return '';
  const cooler = coolerPlace(place, among);
  const elsewhere = cooler
    ? ` ${cooler.place.name} is the coolest place here, about ${temperature(cooler.meanC, units)}${
        tooWarm(crop, cooler.place) ? ', and too warm as well' : ''
      }.`
    : ' No other place here is cooler.';
  return `Too warm for ${crop.name.toLowerCase()} ${place.name ? `on ${place.name}` : 'there'}: about ${temperature(warm.meanC, units)} on average, and above ${temperature(warm.keepBelowC, units)} it sprouts badly and falls over.${elsewhere}`;
}
