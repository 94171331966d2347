/** A line of a table of names. */
export interface NamesLine {
  /** What stands first: a crop's key, or why a plant is refused. */
  head: string;
  /** The names of each language, the usual one first. */
  byLanguage: string[][];
  /** All of them. */
  names: string[];
}

/** The lines of a table of names. */
export const readTable = (table: string): NamesLine[] =>
  table
    .trim()
    .split('\n')
    .map((line) => {
      const [head = '', ...languages] = line.split('|').map((part) => part.trim());
      const byLanguage = languages.map((part) => part.replace(/^[a-z]{2} /, '').split('; '));
      return { head, byLanguage, names: byLanguage.flat() };
    });
