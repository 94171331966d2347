import type { YieldFactor } from '$core/growth/yieldLearned.ts';
import type { Lesson } from '$core/growth/learned.ts';

const percentWords = (share: number): string => `${Math.round(Math.abs(share) * 100)} %`;
const side = (share: number): string => (share < 0 ? 'faster' : 'slower');
/** So little beside the book is nothing. */
const NEAR = 0.015;

/** A pace beside the book's: `8 % slower`. @param than said after it where there is a difference */
export const paceWords = (slower: number, than = ''): string =>
  Math.abs(slower) < NEAR ? 'as the book says' : `${percentWords(slower)} ${side(slower)}${than}`;

/** A yield beside the book's: `12 % more`. @param factor of the book's yield */
export const yieldWords = (factor: number, than = ''): string =>
  Math.abs(factor - 1) < NEAR
    ? 'as the book says'
    : `${percentWords(factor - 1)} ${factor < 1 ? 'less' : 'more'}${than}`;

/** What a household has learned of a crop: “radish here runs 8 % slower than the book, from 5 trays”. */
export function lessonWords(name: string, { slower, low, high, trays }: Lesson): string {
  const from = trays === 1 ? 'one tray' : `${trays} trays`;
  const range =
    low < 0 && high > 0
      ? `${percentWords(low)} faster to ${percentWords(high)} slower`
      : `${percentWords(Math.abs(low) < Math.abs(high) ? low : high)} to ${percentWords(Math.abs(low) < Math.abs(high) ? high : low)} ${side(slower)}`;
  const mid = `runs ${paceWords(slower, ' than the book')}`;
  return `${name} here ${mid}, from ${from} (likely ${range}).`;
}

/** What a household's trays give of a crop against the book: “Radish here gives 12 % more than the book, from 7 weighed trays”. */
export function yieldLessonWords(name: string, { low, mid, high }: YieldFactor, trays: number): string {
  const more = (factor: number) => `${percentWords(factor - 1)} ${factor < 1 ? 'less' : 'more'}`;
  const from = trays === 1 ? 'one weighed tray' : `${trays} weighed trays`;
  return `${name} here gives ${Math.abs(mid - 1) < NEAR ? 'what the book says' : `${more(mid)} than the book`}, from ${from} (a tray likely ${more(low)} to ${more(high)}).`;
}

/** The same in few words: `here 8 % slower`. */
export const lessonShort = ({ slower, trays }: Lesson): string =>
  `here ${paceWords(slower)}, ${trays === 1 ? '1 tray' : `${trays} trays`}`;
