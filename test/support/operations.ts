import { readFileSync } from 'node:fs';

/** The blocks of a language in what operators are told, in order: what is written there is what is tested. */
export const blocksOf = (language: string): string[] =>
  [...readFileSync('docs/operations.md', 'utf8').matchAll(/^```(\w*)\n([\s\S]*?)^```$/gm)]
    .filter(([, name]) => name === language)
    .map(([, , block]) => block!);
