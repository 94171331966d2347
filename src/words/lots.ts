import { t } from '$messages/t.ts';
import type { LotFlag } from '$core/supplies/seed/lot.ts';

/** What is wrong with a lot, in a word or two. */
export const FLAG_WORDS: Record<LotFlag, string> = {
  get empty() {
    return t('bench.empty');
  },
  get low() {
    return t('bench.lowUnderOneTray');
  },
  get stale() {
    return t('bench.pastDate');
  },
  get weak() {
    return t('bench.weakUnderSprout');
  }
};
