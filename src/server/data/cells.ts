/**
 * A text that a spreadsheet would take for a formula gets an apostrophe before it, and one that begins with apostrophes and
 * then such a sign one more: so that each can be read back as it was.
 */
const FORMULA = /^'*[=+\-@\t\r]/;

/** A text as a cell of a file that people open. */
export const safeCell = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** The text of such a cell. */
export const plainCell = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
