import type { Row } from '$core/ahead/rows.ts';

/** How high a row of the weeks ahead is drawn, a place's heading above its rows, and the dates above all, px. */
export const ROW = 34;
export const HEADING = 26;
export const DATES = 28;

/** What stands at one place over the weeks ahead, from the top down. */
export interface Lane {
  placeId: string;
  name: string;
  /** Where its heading begins, and where its last row ends, px. */
  top: number;
  bottom: number;
  rows: { row: Row; y: number }[];
}

/** Rows under the place at which they stand, the places in their own order; one without rows has its heading alone. */
export function lanesOf(rows: readonly Row[], places: readonly { id: string; name: string }[]): Lane[] {
  let top = DATES;
  return places.map(({ id, name }) => {
    const mine = rows.filter(({ placeId }) => placeId === id);
    const first = top + HEADING;
    const lane: Lane = {
      placeId: id,
      name,
      top,
      bottom: first + mine.length * ROW,
      rows: mine.map((row, nth) => ({ row, y: first + nth * ROW }))
    };
    top = lane.bottom;
    return lane;
  });
}

/** The lane at a height; the nearest above the first or under the last. */
export const laneAt = (lanes: readonly Lane[], y: number): Lane | undefined =>
  lanes.find(({ bottom }) => y < bottom) ?? lanes.at(-1);
