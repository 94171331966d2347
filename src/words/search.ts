/** Words as they are searched: without case, accents and doubled blanks. */
export const folded = (text: string): string =>
  text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim();

/** All that something is found by, one after the other. */
export const foldedWords = (texts: readonly string[]): string => [...new Set(texts.map(folded))].join(' | ');
