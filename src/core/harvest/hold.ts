import { usualAir } from '../places/air/airAt.ts';
import { bearsCold, isColdStore } from '../growth/coldStore.ts';
import type { Place } from '../places/place.ts';
import { isTooDark } from '../shelf/board.ts';
import type { SowingEvent } from '../sowing/event.ts';
import type { HouseholdFacts, Projected } from '../sowing/project.ts';
import { movedTo } from '../sowing/reach.ts';
import { DAY, type Millis } from '../time/zone.ts';

/** Where a standing tray may be held, and until when its window stays open there. */
export interface Hold {
  place: Place;
  closesAt: Millis;
  /** How much longer than where it stands. */
  buysMs: number;
  /** It would stand too dark there: it keeps, but pales and goes soft. */
  dim: boolean;
}

/** Less is not worth carrying it for. */
const WORTH = DAY / 2;

/** Places that are cooler than where a sowing stands, and bearable for it: a refrigerator only for what is ripe. */
export const coolerPlaces = (
  { place: here, crop, forecast }: Projected,
  among: Iterable<Place>,
  now: Millis
): Place[] =>
  [...among].filter(
    (place) =>
      place.id !== here.id &&
      usualAir(place).tempC < usualAir(here).tempC &&
      (isColdStore(place)
        ? bearsCold(crop, place) && forecast.marks.windowOpen.p50 <= now
        : usualAir(place).tempC > crop.baseC)
  );

/**
 * Cooler places in which what is ripe stays good for longer, the longest first; none where it is too cold to live.
 * @param events of the sowing so far
 */
export function holdsOf(
  household: HouseholdFacts,
  sowing: Projected,
  events: readonly SowingEvent[],
  now: Millis
): Hold[] {
  const here = sowing.forecast.marks.windowClose.p50;
  if (!Number.isFinite(here)) return [];
  return coolerPlaces(sowing, household.places.values(), now)
    .map((place): Hold => {
      const closesAt = movedTo(household, sowing.setup, events, place, now).forecast.marks.windowClose.p50;
      return {
        place,
        closesAt,
        buysMs: closesAt - here,
        dim: !isColdStore(place) && isTooDark([sowing], place)
      };
    })
    .filter(({ closesAt, buysMs }) => Number.isFinite(closesAt) && buysMs >= WORTH)
    .sort((a, b) => b.buysMs - a.buysMs);
}
