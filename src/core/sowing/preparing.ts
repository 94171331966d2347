import { isSoaked, type Crop } from '../crops/crop.ts';
import type { Method } from '../supplies/methods/method.ts';
import { RINSE_MIN } from '../supplies/seed/rinse.ts';

/** Minutes that seed takes before it goes into water: weighed lot by lot, rinsed, disinfected, rinsed off (starting figures). */
export const PREPARING_MIN = { weigh: 4, rinse: RINSE_MIN, rinseOff: 5 } as const;

/** Whether a crop's seed is disinfected: by a method that does, where it does it good and it may get wet. */
export const isDisinfected = (crop: Crop, { disinfect }: Pick<Method, 'disinfect'>): boolean =>
  disinfect !== 'none' && crop.disinfect !== 'no' && !crop.gelSeed;

/** Minutes from taking the seed out to putting it to soak: so much later than now a soak begins at the earliest. */
export function preparingMin(crop: Crop, lots: number, method: Method): number {
  if (!isSoaked(crop)) return 0;
  return (
    PREPARING_MIN.weigh * lots +
    PREPARING_MIN.rinse +
    (isDisinfected(crop, method) ? method.disinfectRule.minutes + PREPARING_MIN.rinseOff : 0)
  );
}
