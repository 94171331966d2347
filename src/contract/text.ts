import { Temporal } from 'temporal-polyfill';

const ID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const KEY = /^[a-z0-9][a-z0-9-]{0,79}$/;

/** Whether it is an id as this application makes them: a UUID in its usual form. The one place that says so. */
export const isId = (sent: unknown): sent is string => typeof sent === 'string' && ID.test(sent);

/** Whether it is a key as crops and methods have: small letters, digits and hyphens. */
export const isKey = (sent: unknown): sent is string => typeof sent === 'string' && KEY.test(sent);

/** Whether it is a day that a calendar has, `YYYY-MM-DD`, of a year that anything here can be of. The one place that says so. */
export function isDay(sent: unknown): sent is string {
  if (typeof sent !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(sent)) return false;
  try {
    const { year } = Temporal.PlainDate.from(sent, { overflow: 'reject' });
    return year >= 1990 && year < 2100;
  } catch {
    return false;
  }
}

/** A name in one line, without characters that no screen shows; joiners stay, as some scripts and pictures are written with them. */
export const plainName = (sent: string): string =>
  plainText(sent)
    .replace(/(?![\u200c\u200d])\p{Cf}/gu, '')
    .replace(/[\p{Cc}\p{Z}]+/gu, ' ')
    .trim();

/** What a name is compared by: neither case, blanks, nor what no screen shows tells two names apart. */
export const nameKey = (name: string): string =>
  name
    .normalize('NFKC')
    .replace(/\p{Default_Ignorable_Code_Point}/gu, '')
    .replace(/[\p{Cc}\p{Z}]+/gu, ' ')
    .trim()
    .toLowerCase()
    .normalize('NFKC');

/**
 * Text as it is kept: composed, without what no database takes (NUL) and no screen shows (half of a surrogate
 * pair, control characters but tab and line ends). The one place that decides it.
 */
export const plainText = (sent: string): string =>
  sent
    .toWellFormed()
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/g, '')
    .normalize('NFC');
