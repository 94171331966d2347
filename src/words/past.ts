import type { Lesson } from '$core/growth/learned.ts';
import type { YieldFactor } from '$core/growth/yieldLearned.ts';
import type { PastField } from '$core/notebook/past/columns.ts';
import type { DayOrder } from '$core/time/readDay.ts';
import { paceWords, yieldWords } from './lesson.ts';

/** What each field of a past sowing is called. */
export const PAST_FIELD_WORDS: Record<PastField, string> = {
  crop: 'Crop',
  sown: 'Sown on',
  cut: 'Cut on',
  grams: 'Yield',
  seed: 'Seed',
  opened: 'First ready on',
  length: 'Length or diameter',
  width: 'Width',
  container: 'Container',
  count: 'Number of trays',
  medium: 'Medium',
  place: 'Place',
  lost: 'Lost, and why',
  note: 'Note'
};

/** Orders of a date, to be chosen from. */
export const DAY_ORDER_WORDS: Record<DayOrder, string> = {
  'day-first': 'day, month, year',
  'month-first': 'month, day, year',
  'year-first': 'year, month, day'
};

export const sowingsWords = (count: number): string => (count === 1 ? '1 sowing' : `${count} sowings`);
export const linesWords = (count: number): string => (count === 1 ? '1 line' : `${count} lines`);

const THAN_THE_BOOK = ' than the book';

/** What a crop's pace will be taken for after an import, and what it is taken for now. */
export const paceAfterWords = (after: Lesson, before: Lesson | null): string =>
  `Grows ${paceWords(after.slower, THAN_THE_BOOK)}${before ? ` (now ${paceWords(before.slower)})` : ''}.`;

/** The same of its yield. */
export const yieldAfterWords = (after: YieldFactor, before: YieldFactor | null): string =>
  `Yields ${yieldWords(after.mid, THAN_THE_BOOK)}${before ? ` (now ${yieldWords(before.mid)})` : ''}.`;
