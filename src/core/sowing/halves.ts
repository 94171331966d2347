import { beginsAt } from './soak.ts';
import type { Crop } from '../crops/crop.ts';
import { plan, type Plan, type PlanInput } from './plan.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import type { Path } from '../supplies/methods/path.ts';
import { HOUR } from '../time/zone.ts';

/** One half of a tray that two crops share side by side. */
export interface Half {
  crop: Crop;
  areaShare: number;
  seedsPerCm2: number;
  germinationPct: number | null;
  /** The way that both halves go. */
  path: Path;
  /** What the household believes of its pace. */
  belief: Gaussian;
  /** ln of its factor on the crop's yield. */
  yields: Gaussian;
}

/** Halves that would be best within this time of each other are sown together. */
const TOGETHER = 6 * HOUR;

/**
 * Plans a tray of halves, each a sowing of its own.
 * @param staggered the faster is sown later, so that both are best on one day
 */
export function planHalves(
  common: Omit<PlanInput, keyof Half>,
  halves: readonly Half[],
  staggered: boolean
): Plan[] {
  const plans = halves.map((half) => plan({ ...common, ...half }));
  // Asked to be ready by a day, each half starts when it must: that staggers them already.
  if (!staggered || common.aim.kind === 'by') return plans;
  const bests = plans.map(({ forecast }) => forecast.marks.windowBest.p50);
  const last = Math.max(...bests);
  return plans.map((planned, index) => {
    const wait = last - bests[index]!;
    if (!Number.isFinite(wait) || wait < TOGETHER) return planned;
    const from = beginsAt(planned.soak) + wait;
    return plan({ ...common, ...halves[index]!, aim: { kind: 'from', at: from } });
  });
}
