import { t, table } from '$messages/t.ts';
import type { Lesson } from '$core/growth/learned.ts';
import type { YieldFactor } from '$core/growth/yieldLearned.ts';
import type { PastField } from '$core/notebook/past/columns.ts';
import type { DayOrder } from '$core/time/readDay.ts';
import { paceWords, yieldWords } from './lesson.ts';

/** What each field of a past sowing is called. */
export const PAST_FIELD_WORDS: Record<PastField, string> = table('notebook.pastField');

/** Orders of a date, to be chosen from. */
export const DAY_ORDER_WORDS: Record<DayOrder, string> = table('notebook.dayOrder');

export const sowingsWords = (count: number): string => t('notebook.sowingSowings', { count });
export const linesWords = (count: number): string => t('notebook.lineLines', { count });

const THAN_THE_BOOK = () => ` ${t('notebook.thanBook')}`;

/** What a crop's pace will be taken for after an import, and what it is taken for now. */
export const paceAfterWords = (after: Lesson, before: Lesson | null): string =>
  t('notebook.growsPaceNowPace', {
    pace: paceWords(after.slower, THAN_THE_BOOK()),
    when: before ? 'yes' : 'no',
    pace2: before ? paceWords(before.slower) : ''
  });

/** The same of its yield. */
export const yieldAfterWords = (after: YieldFactor, before: YieldFactor | null): string =>
  t('notebook.yieldsYieldNowYield', {
    yield: yieldWords(after.mid, THAN_THE_BOOK()),
    when: before ? 'yes' : 'no',
    yield2: before ? yieldWords(before.mid) : ''
  });
