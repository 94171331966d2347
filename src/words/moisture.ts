import type { Moisture } from '$core/water/bucket.ts';

/** What a medium looks and feels like: on a chip, and as it was told. */
export const MOISTURE_WORDS: Record<Moisture, { chip: string; told: string }> = {
  dry: { chip: 'Dry', told: 'dry' },
  right: { chip: 'Right', told: 'damp, just right' },
  wet: { chip: 'Wet', told: 'wet' },
  standing: { chip: 'Water still stands', told: 'water still stands under it' }
};
