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
  const { setup, place, sownAt } = first;
  return {
    placeId: place.id,
    size: sizeKey(setup.container),
    count: setup.count,
    frontCm: frontCm(setup.container, footprints(standing)),
    widthCm: setup.container.widthCm,
    from: sownAt,
    until: Math.max(sownAt, ...standing.sowings.map(lastCutAt)) + CLEANING_D * DAY
  };
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
  /** So much later there is enough, ms; null where there is none within weeks, or time mends nothing. */
  laterMs: number | null;
  /** Other places in light that have room for it as it is. */
  elsewhere: Place[];
}

/** It is looked so far ahead for the first day that goes. */
const MOST_LATER = 42 * DAY;

/**
 * Whether a sowing finds room, a light place and containers all the while it stands.
 * @param wanted as it would stand
 * @param needsLight whether it comes to light at some time
 * @param owned how many there are of its size; null where nobody has counted
 */
export function shortagesOf(
  wanted: Stand,
  needsLight: boolean,
  {
    place,
    places,
    stands,
    owned
  }: { place: Place; places: readonly Place[]; stands: readonly Stand[]; owned: number | null }
): Shortage[] {
  const hasRoom = (at: Place, by = 0): boolean =>
    fits(
      stands.filter(({ placeId }) => placeId === at.id),
      wanted,
      by,
      (one) => one.frontCm,
      boardCm(
        at,
        Math.max(
          wanted.widthCm,
          ...stands.filter(({ placeId }) => placeId === at.id).map((one) => one.widthCm)
        )
      )
    );
  const alike = stands.filter(({ size }) => size === wanted.size);
  const hasContainers = (by = 0): boolean =>
    owned === null || fits(alike, wanted, by, (one) => one.count, owned);
  const elsewhere = places.filter(
    (other) => other.id !== place.id && (other.light.kind !== 'dark' || !needsLight) && hasRoom(other)
  );
  const first = (goes: (by: number) => boolean): number | null => {
    const over = stands.map(({ until }) => until - wanted.from).filter((by) => by > 0 && by <= MOST_LATER);
    return over.sort((a, b) => a - b).find(goes) ?? null;
  };
  const found: Shortage[] = [];
  if (place.light.kind === 'dark' && needsLight) found.push({ kind: 'light', laterMs: null, elsewhere });
  if (!hasRoom(place)) found.push({ kind: 'board', laterMs: first((by) => hasRoom(place, by)), elsewhere });
  if (!hasContainers()) found.push({ kind: 'container', laterMs: first(hasContainers), elsewhere: [] });
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
