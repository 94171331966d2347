import { table } from '$messages/t.ts';
import type { LotFlag } from '$core/supplies/seed/lot.ts';

/** What is wrong with a lot, in a word or two. */
export const FLAG_WORDS: Record<LotFlag, string> = table('bench.flag');
