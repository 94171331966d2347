import type { Gaussian } from '../../src/core/stats/gaussian.ts';
import { observe } from '../../src/core/stats/gaussian.ts';

/** What the marks of one sowing said, each on ln(duration / table). */
export interface SowingEvidence {
  cropKey: string;
  durationCv: number;
  marks: readonly Gaussian[];
}

/** What each sowing that saw anything says, as learning takes it: its marks as one, widened by what that sowing adds. */
export const messagesOf = (sowings: readonly SowingEvidence[]) =>
  sowings.flatMap(({ cropKey, durationCv, marks: [first, ...rest] }) => {
    if (!first) return [];
    const own = rest.reduce(observe, first);
    return [{ cropKey, message: { mean: own.mean, variance: own.variance + durationCv ** 2 } }];
  });
