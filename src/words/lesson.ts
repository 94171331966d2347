import { cropInText } from './cropNames.ts';
import { percent } from './percent.ts';
import { t } from '$messages/t.ts';
import type { YieldFactor } from '$core/growth/yieldLearned.ts';
import type { Lesson } from '$core/growth/learned.ts';

const percentWords = (share: number): string => percent(Math.abs(share));
const side = (share: number): string => (share < 0 ? t('crops.faster') : t('crops.slower'));
/** So little beside the book is nothing. */
const NEAR = 0.015;

/** A pace beside the book's: `8% slower`. @param than said after it where there is a difference */
export const paceWords = (slower: number, than = ''): string =>
  Math.abs(slower) < NEAR ? t('crops.asBookSays') : `${percentWords(slower)} ${side(slower)}${than}`;

/** A yield beside the book's: `12% more`. @param factor of the book's yield */
export const yieldWords = (factor: number, than = ''): string =>
  Math.abs(factor - 1) < NEAR
    ? t('crops.asBookSays')
    : t('crops.percentLessMoreThan', {
        percent: percentWords(factor - 1),
        when: factor < 1 ? 'yes' : 'no',
        than
      });

/** What a household has learned of a crop: “Your radish runs 8% slower than usual, from 5 trays”. */
export function lessonWords(name: string, { slower, low, high, trays }: Lesson): string {
  const from = t('crops.oneTrayTrays', { trays });
  const range =
    low < 0 && high > 0
      ? t('crops.percentFasterPercentSlower', { percent: percentWords(low), percent2: percentWords(high) })
      : t('crops.percentPercentSide', {
          percent: percentWords(Math.abs(low) < Math.abs(high) ? low : high),
          percent2: percentWords(Math.abs(low) < Math.abs(high) ? high : low),
          side: side(slower)
        });
  const mid = t('crops.runsPace', { pace: paceWords(slower, ` ${t('crops.thanBook')}`) });
  return t('crops.nameHereMidFromFrom', { name: cropInText(name), mid, from, range });
}

/** What a household's trays give of a crop against the book: “Your radish yields 12% more than expected, from 7 weighed trays”. */
export function yieldLessonWords(name: string, { low, mid, high }: YieldFactor, trays: number): string {
  const more = (factor: number) =>
    t('crops.percentLessMore', { percent: percentWords(factor - 1), when: factor < 1 ? 'yes' : 'no' });
  const from = t('crops.oneWeighedTrayWeighedTrays', { trays });
  return t('crops.nameHereGivesWhatBook', {
    name: cropInText(name),
    when: Math.abs(mid - 1) < NEAR ? 'yes' : 'no',
    more: !(Math.abs(mid - 1) < NEAR) ? more(mid) : '',
    from,
    more2: more(low),
    more3: more(high)
  });
}

/** The same in few words: `8% slower for you (1 tray)`. */
export const lessonShort = ({ slower, trays }: Lesson): string =>
  t('crops.herePaceTrayTrays', { pace: paceWords(slower), trays });
