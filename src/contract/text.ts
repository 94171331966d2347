const ID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const KEY = /^[a-z0-9][a-z0-9-]{0,79}$/;

/** Whether it is an id as this application makes them: a UUID in its usual form. The one place that says so. */
export const isId = (sent: unknown): sent is string => typeof sent === 'string' && ID.test(sent);

/** Whether it is a key as crops and methods have: small letters, digits and hyphens. */
export const isKey = (sent: unknown): sent is string => typeof sent === 'string' && KEY.test(sent);

/**
 * Text as it is kept: composed, without what no database takes (NUL) and no screen shows (half of a surrogate
 * pair, control characters but tab and line ends). The one place that decides it.
 */
export const plainText = (sent: string): string =>
  sent
    .toWellFormed()
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F]/g, '')
    .normalize('NFC');
