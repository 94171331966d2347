import type { Watered } from './watered.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { trackOf } from './level.ts';
import { thirstMessage } from './thirst.ts';

/** What one sowing says of how fast water goes in its household; null while it says next to nothing. */
export const thirstOf = (sowing: Watered): Gaussian | null =>
  sowing.state.sownAt === null ? null : thirstMessage(sowing.thirst, trackOf(sowing).thirst);
