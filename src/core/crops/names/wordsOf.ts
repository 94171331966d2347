/** Letters that stand for two, or carry a stroke that no accent removes. */
const FOLDED: readonly (readonly [RegExp, string])[] = [
  [/ß/g, 'ss'],
  [/[łŁ]/g, 'l'],
  [/[øØ]/g, 'o'],
  [/[đĐ]/g, 'd'],
  [/[œŒ]/g, 'oe'],
  [/[æÆ]/g, 'ae']
];

/** Ranks that stand before the name of a variety or subspecies. */
const RANKS = new Set(['var', 'subsp', 'ssp', 'convar', 'cv']);

/**
 * The words of a plant's name in small letters, without accents, hyphens or apostrophes; an umlaut reads the same
 * whether it is written ö or oe. Figures stay, so that a zero for an o is a misspelling.
 */
export const plantNameWords = (name: string): string[] =>
  FOLDED.reduce((text, [from, to]) => text.replace(from, to), name)
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/([aou])e/g, '$1')
    .split(/[^a-z0-9]+/)
    .filter((word) => word !== '' && !RANKS.has(word));

/** Whether a name has letters of a script that the table of names does not cover. */
export const hasOtherScript = (name: string): boolean => /(?!\p{Script=Latin})\p{L}/u.test(name);

const PLURALS = ['s', 'es', 'n', 'en', 'x', 'i'];
const SHORTEST_STEM = 3;

const withoutEnding = (word: string, ending: string): string =>
  word.endsWith(ending) && word.length - ending.length >= SHORTEST_STEM
    ? word.slice(0, -ending.length)
    : word;

/**
 * Words written as one, as they stand and with each plural ending removed: from the last word (kidney beans), the
 * first (pommes de terre) and from all (haricots verts).
 */
export function writtenAsOne(words: readonly string[]): string[] {
  const last = words.length - 1;
  return [
    ...new Set([
      words.join(''),
      ...PLURALS.flatMap((ending) =>
        [(at: number) => at === last, (at: number) => at === 0, () => true].map((isPlural) =>
          words.map((word, at) => (isPlural(at) ? withoutEnding(word, ending) : word)).join('')
        )
      )
    ])
  ];
}
