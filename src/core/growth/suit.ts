import type { Crop } from '../crops/crop.ts';
import { usualAir } from '../places/air/airAt.ts';
import { usualWarmthRate } from '../places/air/rates.ts';
import { standsStill, tooWarm, type TooWarm } from '../places/air/warmth.ts';
import { lightResponses, type Place } from '../places/place.ts';
import type { Zone } from '../time/zone.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { MarkForecast } from './forecastMark.ts';
import { tableOptimumDays } from './marks.ts';

/** Why no window is promised where a crop stands. */
export type Hindrance = 'cold' | 'hot' | 'dim';

/** Where a sowing stands, and where it is carried as it comes to light; null where it stays. */
export interface Whereabouts {
  place: Place;
  carriedTo: Place | null;
}

/** What of a crop's way and of the household its days in a place turn on. */
export interface Growing {
  crop: Crop;
  needsLight: boolean;
  latitudeDeg: number;
  zone: Zone;
  startAt: Millis;
}

/** How a place suits a crop. */
export interface Suit {
  /** Why no window is promised; null where one is. */
  hindered: Hindrance | null;
  /** Where it stands or is carried, if that is too warm on average. */
  tooWarm: (TooWarm & { place: Place }) | null;
  /** Where it is hindered or too warm: the household's place in which it opens soonest within its bounds. */
  better: { place: Place; days: number } | null;
}

/** A crop that takes this many times its usual days is promised nothing (starting figure). */
const TOO_SLOW = 2.5;

const isDarkFor = (place: Place, needsLight: boolean): boolean => needsLight && place.light.kind === 'dark';

/**
 * Days from sowing to the opening at the table's pace, in the usual air and light of a place; Infinity where it never opens.
 * Light counts once stems are even, and not in the dark, which delays it by as much as somebody leaves it there.
 */
export function tableDays(
  { crop, needsLight, latitudeDeg, zone, startAt }: Growing,
  { place, carriedTo }: Whereabouts
): number {
  const lit = carriedTo ?? place;
  const { lightReady, windowOpen } = tableOptimumDays(crop);
  const dayOfYear = zone.dayOfYear(startAt + crop.lightReadyD21 * DAY);
  const light = !needsLight || isDarkFor(lit, needsLight) ? 1 : lightResponses(lit, latitudeDeg)(dayOfYear);
  const rates = { dark: usualWarmthRate(crop, place), lit: usualWarmthRate(crop, lit) * light };
  return rates.dark > 0 && rates.lit > 0
    ? lightReady / rates.dark + (windowOpen - lightReady) / rates.lit
    : Infinity;
}

/** From half way between where it begins to suffer and its maximum, a crop's yield is at its least (docs/model.md, 3). */
const isOverBounds = ({ keepBelowC, maximumC }: Crop, place: Place): boolean =>
  usualAir(place).tempC >= (keepBelowC + maximumC) / 2;

/** Why no window is promised: hardly any growth, more warmth than it bears, or over 2.5 times its usual days. */
export function hindranceOf(growing: Growing, whereabouts: Whereabouts): Hindrance | null {
  const { crop } = growing;
  const places = [whereabouts.place, ...(whereabouts.carriedTo ? [whereabouts.carriedTo] : [])];
  for (const place of places) {
    const still = standsStill(crop, place);
    if (still) return still;
    if (isOverBounds(crop, place)) return 'hot';
  }
  const limit = TOO_SLOW * crop.windowOpenD21;
  if (tableDays(growing, whereabouts) <= limit) return null;
  if (tableDays({ ...growing, needsLight: false }, whereabouts) <= limit) return 'dim';
  return places.some((place) => usualAir(place).tempC < crop.optimumC) ? 'cold' : 'hot';
}

/** Whether a window is promised at all. One that was seen open always is. */
export const isPromised = ({
  suit,
  forecast: { marks }
}: {
  suit: Suit;
  forecast: { marks: { windowOpen: MarkForecast } };
}): boolean => Number.isFinite(marks.windowOpen.p50) && (suit.hindered === null || marks.windowOpen.seen);

/** The place in which a crop opens soonest without being hindered, too warm or in the dark; null where there is none. */
export function bestPlace(growing: Growing, among: Iterable<Place>): Suit['better'] {
  const { crop, needsLight } = growing;
  let best: Suit['better'] = null;
  for (const place of among) {
    const there = { place, carriedTo: null };
    if (isDarkFor(place, needsLight) || tooWarm(crop, place) || hindranceOf(growing, there)) continue;
    const days = tableDays(growing, there);
    if (days < (best?.days ?? Infinity)) best = { place, days };
  }
  return best;
}

/**
 * How where it stands suits a crop, and which of some other places suits it better where it does not.
 * @param opensAt of a sowing under way: one that opens within 2.5 times its usual days is not hindered, such as a tray that is
 * carried somewhere cool as it opens
 */
export function suitOf(
  growing: Growing,
  whereabouts: Whereabouts,
  among: Iterable<Place>,
  opensAt: Millis | null = null
): Suit {
  const latest = growing.startAt + TOO_SLOW * growing.crop.windowOpenD21 * DAY;
  const opensInTime = opensAt !== null && opensAt <= latest;
  const places = [whereabouts.place, ...(whereabouts.carriedTo ? [whereabouts.carriedTo] : [])];
  const hindered = opensInTime ? null : hindranceOf(growing, whereabouts);
  const warm = places.flatMap((place) => {
    const found = tooWarm(growing.crop, place);
    return found ? [{ ...found, place }] : [];
  })[0];
  const others = [...among].filter(({ id }) => places.every((place) => place.id !== id));
  return {
    hindered,
    tooWarm: warm ?? null,
    better: hindered || warm ? bestPlace(growing, others) : null
  };
}
