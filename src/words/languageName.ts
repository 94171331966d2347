import { capital } from './capital.ts';

/** A language's name as those who read it write it. @example languageName('en-US') // English (United States) */
export const languageName = (tag: string): string =>
  capital(new Intl.DisplayNames([tag], { type: 'language', languageDisplay: 'standard' }).of(tag) ?? tag);
