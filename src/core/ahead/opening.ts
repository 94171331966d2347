import { phi, Z80 } from '../stats/normal.ts';
import type { Forecast } from '../growth/forecast.ts';
import { DAY, type Millis } from '../time/zone.ts';

/** What a sowing gives, and when its window is expected to open: 10, 50 and 90 % of the way. */
export interface Opening {
  g: number;
  p10: Millis;
  p50: Millis;
  p90: Millis;
}

/** The opening of what gives so much, as its forecast has it. */
export function openingOf({ marks }: Forecast, g: number): Opening {
  const { p10, p50, p90 } = marks.windowOpen;
  return { g, p10, p50, p90 };
}

/** Grams of it that are expected to have opened by a moment: by the spread of its window and not by its middle alone. */
export function openedByG({ g, p10, p50, p90 }: Opening, at: Millis): number {
  if (!Number.isFinite(p50)) return 0;
  const side = at < p50 ? p50 - p10 : Number.isFinite(p90) ? p90 - p50 : p50 - p10;
  const sd = Math.max(side / Z80, DAY / 24);
  return g * phi((at - p50) / sd);
}

/** The same sowing, begun so much later. */
export const later = (opening: Opening, byMs: number): Opening => ({
  ...opening,
  p10: opening.p10 + byMs,
  p50: opening.p50 + byMs,
  p90: opening.p90 + byMs
});
