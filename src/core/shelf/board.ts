import { frontWidthCm } from '../supplies/containers/container.ts';
import { boardOf, type Place } from '../places/place.ts';
import type { Projected } from '../sowing/project.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { standingOf, type Standing } from '../sowing/standing.ts';
import { footprints } from './stack.ts';
import { loadOf, type Load } from './load.ts';
import { besideOf, refusedMove } from './moving.ts';

/** Between two trays, so that a hand fits, in cm. */
export const GAP_CM = 2;

/** A container, or a stack of them, where it stands on the board, from the front. */
export interface Spot {
  standing: Standing;
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
  crowdedOut: Standing[];
  /** Front that is still free, over all rows, cm. */
  freeCm: number;
  /** How many trays of the household's usual size still fit. */
  freeSlots: number;
  /** Trays that stand in light and need none yet: they could make room. */
  darkInLight: Standing[];
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
  const crowdedOut: Standing[] = [];
  for (const one of standingOf(standing)) {
    const { container } = one.sowings[0]!.setup;
    const front = (frontWidthCm(container) + GAP_CM) * footprints(one) - GAP_CM;
    const row = taken.findIndex((used) => used + front <= widthCm);
    if (row < 0) {
      crowdedOut.push(one);
      continue;
    }
    spots.push({
      standing: one,
      leftCm: taken[row]!,
      row,
      widthCm: front,
      // Of two halves, the one that is in light decides.
      needs: one.sowings.some((half) => needOf(half) === 'light') ? 'light' : 'dark'
    });
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
        : spots.filter(({ needs }) => needs === 'dark').map((spot) => spot.standing),
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
  /** It needs light now, and there is none there. */
  tooDark: boolean;
  /** The board would carry more than it is rated for: the one thing that keeps a tray from being moved. */
  refused: boolean;
}

/**
 * Weighs a move before it is made, by the rule that the server has too.
 * @param moving what stands in one container
 * @param moved the same projected as though it had been moved
 * @param there what stands on the place it would go to
 */
export function moveEffect(
  moving: readonly Projected[],
  moved: readonly Projected[],
  to: Place,
  there: readonly Projected[],
  now: Millis
): MoveEffect {
  const after = boardWith(to, [...besideOf(moving, there), ...moved], now);
  const later = moved.map(({ forecast, suit }, index) => {
    const before = moving[index]!.forecast.marks.windowOpen;
    const { p50 } = forecast.marks.windowOpen;
    return before.seen ? 0 : suit.hindered ? Infinity : (p50 - before.p50) / DAY;
  });
  const latest = later.reduce((a, b) => (Math.abs(b) > Math.abs(a) || !Number.isFinite(b) ? b : a));
  return {
    laterD: Number.isFinite(latest) ? latest : null,
    load: after.load,
    fits: after.crowdedOut.length === 0,
    tooDark: isTooDark(moving, to),
    refused: refusedMove(moving, to, there, now) !== null
  };
}

/** Whether it needs light now and there is none. */
export const isTooDark = (moving: readonly Projected[], { light }: Place): boolean =>
  light.kind === 'dark' && moving.some((one) => needOf(one) === 'light' && one.path.lightFrom !== null);
