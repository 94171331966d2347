import { footprints } from '../shelf/stack.ts';
import { wholeYieldG } from '../harvest/expected.ts';
import type { Projected } from '../sowing/project.ts';
import { beginsAt } from '../sowing/soak.ts';
import { standingOf } from '../sowing/standing.ts';
import { sizeKey } from '../supplies/containers/sizes.ts';
import type { Rhythm } from '../time/rhythm.ts';
import type { Millis } from '../time/zone.ts';
import { dayIndex, type Horizon } from './horizon.ts';
import { frontCm } from './room.ts';
import { lastCutAt } from './supply.ts';

/** Whether it grows, is on the list, is laid by a standing order, or is only proposed. */
export type RowKind = 'under-way' | 'planned' | 'draft' | 'proposed';

/** One container over the weeks ahead, plain enough to be sent. */
export interface Row {
  key: string;
  kind: RowKind;
  /** Two for a tray of halves; those that are stored. */
  sowingIds: readonly string[];
  crops: readonly string[];
  placeId: string;
  /** Where it is carried as it comes to light; null where it stays. */
  lightPlaceId: string | null;
  container: string;
  /** Of which size it is (`sizeKey`). */
  containerSize: string;
  count: number;
  /** The front of board that it takes, cm. */
  frontCm: number;
  /** Whether its seed is in water, or on its medium. */
  begun: 'no' | 'soaking' | 'sown';
  beginsAt: Millis;
  startAt: Millis;
  /** First light; Infinity for what stays dark. */
  litAt: Millis;
  open: { p10: Millis; p50: Millis; p90: Millis; seen: boolean };
  /** When the last of it is cut. */
  lastCutAt: Millis;
  g: number;
  locked: boolean;
  /** The order that laid it, and the day it is known by there. */
  order: { id: string; day: string } | null;
}

/** What stands in each container, as one row. */
export function rowsOf(
  sowings: readonly Projected[],
  kindOf: (sowing: Projected) => Pick<Row, 'kind' | 'locked' | 'order'>
): Row[] {
  return standingOf(sowings).map(({ key, sowings: halves }) => {
    const first = halves[0]!;
    const { state, setup } = first;
    const { p10, p50, p90, seen } = halves
      .map(({ forecast }) => forecast.marks.windowOpen)
      .reduce((a, b) => (b.p50 < a.p50 ? b : a));
    return {
      key,
      ...kindOf(first),
      sowingIds: halves.map((half) => half.setup.id),
      crops: halves.map(({ crop }) => crop.name),
      placeId: first.place.id,
      lightPlaceId: first.carriedTo?.id ?? null,
      container: setup.container.name,
      containerSize: sizeKey(setup.container),
      count: setup.count,
      frontCm: frontCm(setup.container, footprints({ key, sowings: halves })),
      begun: state.sownAt !== null ? 'sown' : state.soakedAt !== null ? 'soaking' : 'no',
      beginsAt: state.soakedAt ?? state.sownAt ?? beginsAt(first.soak),
      startAt: first.startAt,
      litAt: Math.min(...halves.map(({ forecast }) => forecast.litAt)),
      open: { p10, p50, p90, seen },
      lastCutAt: Math.max(...halves.map(lastCutAt)),
      g: halves.reduce((sum, half) => sum + wholeYieldG(half).usual * (1 - half.state.cutShare), 0)
    };
  });
}

/** What is done on a day. */
export interface DayWork {
  what: 'begin' | 'sow' | 'opens' | 'last-cut';
  row: Row;
}

/** What falls on each day of a horizon: begun, sown, opening and cut to the last. */
export function workOf(rows: readonly Row[], horizon: Horizon, rhythm: Rhythm): DayWork[][] {
  const days: DayWork[][] = Array.from({ length: horizon.days }, () => []);
  const put = (what: DayWork['what'], at: Millis, row: Row): void => {
    if (Number.isFinite(at)) days[dayIndex(horizon, rhythm, at)]?.push({ what, row });
  };
  for (const row of rows) {
    if (row.begun === 'no') put('begin', row.beginsAt, row);
    const apart = dayIndex(horizon, rhythm, row.startAt) !== dayIndex(horizon, rhythm, row.beginsAt);
    if (row.begun !== 'sown' && apart) put('sow', row.startAt, row);
    if (!row.open.seen) put('opens', row.open.p50, row);
    put('last-cut', row.lastCutAt, row);
  }
  return days;
}
