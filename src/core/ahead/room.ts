import { boardOf, type Place } from '../places/place.ts';
import { GAP_CM } from '../shelf/board.ts';
import { footprints } from '../shelf/stack.ts';
import type { Standing } from '../sowing/standing.ts';
import { frontWidthCm, type Container } from '../supplies/containers/container.ts';
import { sizeKey } from '../supplies/containers/sizes.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Rhythm } from '../time/rhythm.ts';
import { dayIndex, type Horizon } from './horizon.ts';
import { lastCutAt } from './supply.ts';

/** The front that containers take, cm, with what is left between them. */
export const frontCm = (container: Container, containers: number): number =>
  (frontWidthCm(container) + GAP_CM) * containers;

/** What a board has to give, cm of front over all its rows: as many rows as the deepest that is to stand there allows. */
export function boardCm(place: Place, deepestCm: number): number {
  const { widthCm, depthCm } = boardOf(place);
  return Math.max(1, Math.floor(depthCm / Math.min(deepestCm, depthCm))) * (widthCm + GAP_CM);
}

/** What stands somewhere, or will by what is on the list: as far as room goes, and plain enough to be sent. */
export interface Stand {
  placeId: string;
  /** Of its containers, and how many of them. */
  size: string;
  count: number;
  frontCm: number;
  widthCm: number;
  from: Millis;
  until: Millis;
}

/** After the last cut a container is washed and dried. */
export const CLEANING_D = 1;

/** What stands in one container, or in several alike, until the last of it is cut. */
export function standOf(standing: Standing): Stand {
  const first = standing.sowings[0]!;
  const { setup, place, startAt } = first;
  return {
    placeId: place.id,
    size: sizeKey(setup.container),
    count: setup.count,
    frontCm: frontCm(setup.container, footprints(standing)),
    widthCm: setup.container.widthCm,
    from: startAt,
    until: Math.max(startAt, ...standing.sowings.map(lastCutAt)) + CLEANING_D * DAY
  };
}

/** The same board by board: where it sprouts in the dark, and from first light on where it is carried. */
export function standsOf(standing: Standing): Stand[] {
  const whole = standOf(standing);
  const { carriedTo } = standing.sowings[0]!;
  // Of two halves, the slower decides.
  const litAt = Math.max(...standing.sowings.map(({ forecast }) => forecast.litAt));
  if (carriedTo === null || !(litAt < whole.until)) return [whole];
  const at = Math.max(whole.from, litAt);
  return [
    { ...whole, until: at },
    { ...whole, placeId: carriedTo.id, from: at }
  ];
}

/** The days of a horizon on which a stand takes its place and its containers: from the first, up to the second. */
export function daysTaken(
  { from, until }: Pick<Stand, 'from' | 'until'>,
  horizon: Horizon,
  rhythm: Rhythm
): [from: number, until: number] {
  const ends = Number.isFinite(until) ? dayIndex(horizon, rhythm, until) + 1 : horizon.days;
  return [Math.max(0, dayIndex(horizon, rhythm, from)), Math.max(1, Math.min(horizon.days, ends))];
}

/** What there is too little of for a sowing, and the nearest that goes. */
export interface Shortage {
  kind: 'board' | 'container' | 'light';
  /** Where; of containers, where it is sown. */
  placeId: string;
  /** So much later there is enough, ms; null where there is none within weeks, or time mends nothing. */
  laterMs: number | null;
  /** Other places in light that have room for it as it is. */
  elsewhere: Place[];
}

/** It is looked so far ahead for the first day that goes. */
const MOST_LATER = 42 * DAY;

/**
 * Whether a sowing finds room, a light place and containers all the while it stands.
 * @param wanted as it would stand, board by board: more than one where it is carried to light
 * @param needsLight whether it comes to light at some time
 * @param owned how many there are of its size; null where nobody has counted
 */
export function shortagesOf(
  wanted: readonly Stand[],
  needsLight: boolean,
  { places, stands, owned }: { places: readonly Place[]; stands: readonly Stand[]; owned: number | null }
): Shortage[] {
  const first = wanted[0]!;
  const whole = { ...first, until: wanted.at(-1)!.until };
  const placeOf = new Map(places.map((place) => [place.id, place]));
  const hasRoom = (at: Place, stand: Stand, by = 0): boolean =>
    fits(
      stands.filter(({ placeId }) => placeId === at.id),
      stand,
      by,
      (one) => one.frontCm,
      boardCm(
        at,
        Math.max(
          stand.widthCm,
          ...stands.filter(({ placeId }) => placeId === at.id).map((one) => one.widthCm)
        )
      )
    );
  const alike = stands.filter(({ size }) => size === first.size);
  const hasContainers = (by = 0): boolean =>
    owned === null || fits(alike, whole, by, (one) => one.count, owned);
  /** What is carried on later may sprout anywhere; all else that needs light stands in it. */
  const elsewhere = (stand: Stand): Place[] =>
    places.filter(
      (other) =>
        other.id !== stand.placeId &&
        (other.light.kind !== 'dark' || !needsLight || (wanted.length > 1 && stand === first)) &&
        hasRoom(other, stand)
    );
  const soonest = (goes: (by: number) => boolean): number | null => {
    const over = wanted
      .flatMap(({ from }) => stands.map(({ until }) => until - from))
      .filter((by) => by > 0 && by <= MOST_LATER);
    return over.sort((a, b) => a - b).find(goes) ?? null;
  };
  const found: Shortage[] = [];
  const short = (
    kind: Shortage['kind'],
    { placeId }: Stand,
    laterMs: number | null,
    other: Place[]
  ): void => {
    found.push({ kind, placeId, laterMs, elsewhere: other });
  };
  const isDark = (stand: Stand): boolean => placeOf.get(stand.placeId)?.light.kind === 'dark';
  if (needsLight && wanted.every(isDark)) short('light', first, null, elsewhere(first));
  const goes = (stand: Stand, by = 0): boolean => {
    const place = placeOf.get(stand.placeId);
    return place === undefined || hasRoom(place, stand, by);
  };
  for (const stand of wanted)
    if (!goes(stand))
      short(
        'board',
        stand,
        soonest((by) => wanted.every((one) => goes(one, by))),
        elsewhere(stand)
      );
  if (!hasContainers()) short('container', first, soonest(hasContainers), []);
  return found;
}

/** Whether there is enough beside what stands, at every moment of a stand that is so much later. */
function fits(
  stands: readonly Stand[],
  wanted: Stand,
  by: number,
  amount: (stand: Stand) => number,
  total: number
): boolean {
  const [from, until] = [wanted.from + by, wanted.until + by];
  const beside = stands.filter((one) => one.until > from && one.from < until);
  // It is fullest as something comes.
  const moments = [from, ...beside.map((one) => one.from).filter((at) => at > from)];
  return moments.every((at) => {
    const there = beside.filter((one) => one.from <= at && one.until > at);
    return there.reduce((sum, one) => sum + amount(one), amount(wanted)) <= total + 1e-6;
  });
}
