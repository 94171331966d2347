import type { Followed } from '../sowing/follow.ts';
import type { Gaussian } from '../window/gaussian.ts';
import { trackOf } from './level.ts';
import { thirstMessage } from './thirst.ts';

/** What one sowing says of how fast water goes in its household; null while it says next to nothing. */
export const thirstOf = (followed: Followed): Gaussian | null =>
  followed.state.sownAt === null ? null : thirstMessage(followed.thirst, trackOf(followed).thirst);
