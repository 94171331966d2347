import type { Watered } from './watered.ts';
import type { Millis } from '../time/zone.ts';
import { tableOptimumDays } from '../growth/marks.ts';
import { usualYieldG } from '../growth/yield.ts';

/** Share of what is cut that stands in roots and stubble besides (starting figure). */
const ROOTS = 0.3;

/** What the plants of a sowing are expected to weigh at a moment, g, less what was cut of them. */
export function plantsG({ crop, areaCm2, forecast, state }: Watered, at: Millis): number {
  const table = tableOptimumDays(crop);
  const age = forecast.clock.tau(at);
  const share = Math.min(
    1.15,
    Math.max(0, (age - table.rooted * 0.5) / (table.windowBest - table.rooted * 0.5))
  );
  const whole = usualYieldG(crop, areaCm2).usual;
  const since = state.regrowsSince ?? -Infinity;
  const cut = state.cuts.reduce(
    (sum, { at: when, netG }) => (when <= at && when > since ? sum + netG : sum),
    0
  );
  return Math.max(0, whole * share ** 1.5 * (1 + ROOTS) - cut);
}
