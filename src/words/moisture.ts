import { table } from '$messages/t.ts';
import type { Moisture } from '$core/water/bucket.ts';

/** What a medium looks and feels like: on a chip, and as it was told. */
export const MOISTURE_WORDS: Record<Moisture, { chip: string; told: string }> = table('tray.moisture');
