import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { askComma } from '../../core/units/parseQuantity.ts';
import { problemWords } from '../../words/problems.ts';
import { isDay, isId, isKey, plainName, plainText } from '../text.ts';

/** Says why a value is refused. A function, because each sender reads a language of their own. */
export type Say = () => string;

/** What is asked of a typed number whose comma can be both; null where it is clear. */
const commaWords = (typed: unknown): string | null => {
  const asked = typeof typed === 'string' ? askComma(typed) : null;
  return asked && problemWords(asked);
};

const BROKEN = () => t('crops.formBrokenReloadPage');
/** The moments that anything here can be of: anything else is a slip, or a clock that was never set. */
export const MOMENTS = [Date.UTC(2000, 0, 1), Date.UTC(2100, 0, 1)] as const;

/** Text as it is kept: plain, without blanks around it. What is no text stays, and is complained of. */
export const text = (most: number, say: Say = () => t('errors.keepUnderMostLetters', { most })) =>
  yup
    .string()
    .transform((_value: unknown, sent: unknown) => (typeof sent === 'string' ? plainText(sent).trim() : sent))
    .typeError(() => t('errors.writeAsText'))
    .max(most, say);

/** A name: text in one line. */
export const nameText = (most: number, say?: Say) =>
  text(most, say).transform((value: unknown) => (typeof value === 'string' ? plainName(value) : value));

/** A passphrase: as typed, blanks and all. */
export const secret = () => yup.string().typeError(() => t('errors.writeAsText'));

/** An id that the page made. */
export const id = (say = BROKEN) =>
  yup
    .string()
    .typeError(say)
    .test('id', say, (sent) => sent === undefined || sent === null || isId(sent));

/** The key of a crop or a method. */
export const key = (say: Say) =>
  yup
    .string()
    .typeError(say)
    .test('key', say, (sent) => sent === undefined || sent === null || sent === '' || isKey(sent));

/**
 * A number that a column can hold. Next to nothing is nothing: no figure here is finer than a billionth.
 * @param say where it is none
 */
export const number = (say: Say) =>
  yup
    .number()
    .transform((value: unknown, sent: unknown) => {
      if (typeof sent !== 'number' && typeof sent !== 'string') return sent === null ? null : NaN;
      return typeof value === 'number' && Math.abs(value) < 1e-9 ? 0 : value;
    })
    .typeError(({ originalValue }: { originalValue?: unknown }) => commaWords(originalValue) ?? say());

/** A number that may be left empty. */
export const optionalNumber = (say: Say) =>
  number(say)
    .transform((value: unknown, sent: unknown) => (sent === '' || sent === undefined ? null : value))
    .nullable()
    .default(null);

/** A day as `YYYY-MM-DD` that the calendar has, or null for an empty field. */
export const optionalDay = (say: Say) =>
  yup
    .string()
    .transform((value: unknown, sent: unknown) => (sent === '' ? null : value))
    .typeError(say)
    .test('day', say, (sent) => sent === null || sent === undefined || isDay(sent))
    .nullable()
    .default(null);

/** A moment, in milliseconds since 1970. */
export const moment = (say: Say = () => t('errors.timeCannotBeCheckDate')) =>
  number(say).integer(say).min(MOMENTS[0], say).max(MOMENTS[1], say);
