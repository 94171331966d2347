import type { LotFlag } from '$core/supplies/seed/lot.ts';

/** What is wrong with a lot, in a word or two. */
export const FLAG_WORDS: Record<LotFlag, string> = {
  empty: 'empty',
  low: 'low: under one tray',
  stale: 'past its date',
  weak: 'weak: under 70 % sprout'
};
