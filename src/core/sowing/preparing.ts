import { isSoaked, type Crop } from '../crops/crop.ts';
import type { Method } from '../supplies/methods/method.ts';
import { RINSE_MIN } from '../supplies/seed/rinse.ts';

/** Minutes that seed takes before it goes into water: weighed lot by lot, rinsed, disinfected, rinsed off (starting figures). */
export const PREPARING_MIN = { weigh: 4, rinse: RINSE_MIN, rinseOff: 5 } as const;

/** Minutes from taking the seed out to putting it to soak: so much later than now a soak begins at the earliest. */
export function preparingMin(crop: Crop, lots: number, { disinfect, disinfectRule }: Method): number {
  if (!isSoaked(crop)) return 0;
  const disinfects = disinfect !== 'none' && crop.disinfect !== 'no' && !crop.gelSeed;
  return (
    PREPARING_MIN.weigh * lots +
    PREPARING_MIN.rinse +
    (disinfects ? disinfectRule.minutes + PREPARING_MIN.rinseOff : 0)
  );
}
