import type { Place } from '$core/places/place.ts';
import { isUnsure, needsNothing, type Stop } from '$core/steps/walk.ts';

/** The stops at one place, or the rest of them where a column ended between two. */
export interface Group {
  place: Place;
  stops: Stop[];
  continued: boolean;
}

/** About how tall a stop is drawn, in lines. */
const linesOf = (stop: Stop): number => {
  if (needsNothing(stop)) return 1;
  const looks = stop.parts.filter(({ ask }) => ask.look !== null || ask.staysCoveredUntil !== null).length;
  return 3 + 2 * (stop.steps.length + looks + (isUnsure(stop) ? 1 : 0));
};

const HEADING = 1;

/**
 * Where the second column of a round begins: as many stops before it as make both about equally tall.
 * @param rest how tall what follows all the stops is, in lines
 */
export function cutOf(groups: readonly { stops: readonly Stop[] }[], rest: number): number {
  const lines = groups.flatMap(({ stops }) =>
    stops.map((stop, nth) => linesOf(stop) + (nth === 0 ? HEADING : 0))
  );
  const whole = lines.reduce((sum, one) => sum + one, rest);
  let best = { cut: lines.length, tallest: whole };
  let before = 0;
  for (const [nth, one] of lines.entries()) {
    before += one;
    const tallest = Math.max(before, whole - before);
    if (tallest < best.tallest) best = { cut: nth + 1, tallest };
  }
  return best.cut;
}

/** A walk in two columns, in walking order: the first `cut` stops, and the others. */
export function inColumns(
  groups: readonly { place: Place; stops: readonly Stop[] }[],
  cut: number
): [Group[], Group[]] {
  const columns: [Group[], Group[]] = [[], []];
  let nth = 0;
  for (const { place, stops } of groups) {
    const first = stops.slice(0, Math.max(0, cut - nth));
    const second = stops.slice(first.length);
    if (first.length > 0) columns[0].push({ place, stops: first, continued: false });
    if (second.length > 0) columns[1].push({ place, stops: second, continued: first.length > 0 });
    nth += stops.length;
  }
  return columns;
}
