import { frontWidthCm } from '../supplies/containers/container.ts';
import { boardOf, type Place } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { loadOf, type Load } from './load.ts';

/** Between two trays, so that a hand fits, in cm. */
const GAP_CM = 2;

/** A tray where it stands on the board, from the front. */
export interface Spot {
  projected: Projected;
  /** From the board's left edge, and which row, 0 the front. */
  leftCm: number;
  row: number;
  widthCm: number;
  /** What it needs now. */
  needs: 'light' | 'dark';
}

/** A place as it stands: its trays laid out, what is free, what it carries. */
export interface Board {
  place: Place;
  widthCm: number;
  depthCm: number;
  rows: number;
  spots: Spot[];
  /** Trays that its board has no room for. */
  crowdedOut: Projected[];
  /** Front that is still free, over all rows, cm. */
  freeCm: number;
  /** How many trays of the household's usual size still fit. */
  freeSlots: number;
  /** Trays that stand in light and need none yet: they could make room. */
  darkInLight: Projected[];
  load: Load;
}

/** What a sowing needs: darkness until it comes to light. */
export const needOf = ({ state, path }: Pick<Projected, 'state' | 'path'>): 'light' | 'dark' =>
  state.litAt !== null || path.lightFrom === 'sown' ? 'light' : 'dark';

const depthOf = ({ setup }: Projected): number =>
  setup.container.shape === 'cells' ? setup.container.widthCm * 2 + 1.2 : setup.container.widthCm;

/**
 * Lays a place's trays out on its board, in the order given: side by side from the left, in as many rows as
 * the deepest of them allows.
 * @param slotCm front of a usual tray, for counting what is free
 */
export function boardWith(place: Place, standing: readonly Projected[], now: Millis, slotCm = 25): Board {
  const { widthCm, depthCm } = boardOf(place);
  const deepest = Math.max(...standing.map(depthOf), 1);
  const rows = Math.max(1, Math.floor(depthCm / (standing.length > 0 ? deepest : 18)));
  const taken = Array.from({ length: rows }, () => 0);
  const spots: Spot[] = [];
  const crowdedOut: Projected[] = [];
  for (const projected of standing) {
    const { setup } = projected;
    const front =
      (frontWidthCm(setup.container) + GAP_CM) * Math.ceil(setup.count * setup.areaShare) - GAP_CM;
    const row = taken.findIndex((used) => used + front <= widthCm);
    if (row < 0) {
      crowdedOut.push(projected);
      continue;
    }
    spots.push({ projected, leftCm: taken[row]!, row, widthCm: front, needs: needOf(projected) });
    taken[row]! += front + GAP_CM;
  }
  const free = taken.map((used) => Math.max(0, widthCm - used));
  return {
    place,
    widthCm,
    depthCm,
    rows,
    spots,
    crowdedOut,
    freeCm: free.reduce((sum, cm) => sum + cm, 0),
    freeSlots: free.reduce((sum, cm) => sum + Math.floor((cm + GAP_CM) / (slotCm + GAP_CM)), 0),
    darkInLight:
      place.light.kind === 'dark'
        ? []
        : spots.filter(({ needs }) => needs === 'dark').map(({ projected }) => projected),
    load: loadOf(place, standing, now)
  };
}

/** What moving a tray there would do. */
export interface MoveEffect {
  /** Days that its window opens later; negative for sooner. Null where it would not grow there. */
  laterD: number | null;
  /** The load there with it. */
  load: Load;
  /** Whether the board has room for it. */
  fits: boolean;
  /** It needs light now, or will before long, and there is none there. */
  tooDark: boolean;
}

/**
 * Weighs a move before it is made.
 * @param moved the sowing projected as though it had been moved
 */
export function moveEffect(
  projected: Projected,
  moved: Projected,
  to: Place,
  standing: readonly Projected[],
  now: Millis
): MoveEffect {
  const there = standing.filter(({ setup }) => setup.id !== projected.setup.id);
  const before = projected.forecast.marks.windowOpen;
  const after = moved.forecast.marks.windowOpen;
  const with_ = boardWith(to, [...there, moved], now);
  return {
    laterD: Number.isFinite(after.p50) ? (before.seen ? 0 : (after.p50 - before.p50) / DAY) : null,
    load: with_.load,
    fits: with_.crowdedOut.length === 0,
    tooDark: to.light.kind === 'dark' && needOf(projected) === 'light'
  };
}
