import Negotiator from 'negotiator';
import { MESSAGES } from '$catalogue/every.ts';
import { PSEUDO } from '$messages/pseudo.ts';

/** The languages that Brote is written in, by their BCP 47 tags. */
export const LANGUAGES: readonly string[] = Object.keys(MESSAGES).filter((tag) => tag !== PSEUDO);

/** What is read where nothing fits. */
const USUAL = 'en';

/** The language for somebody who reads some, best first: a regional one where there is one, or else the language itself. */
export function nearest(tags: readonly string[]): string {
  // For development: everything in one language, the pseudo-language among them.
  const forced = process.env.BROTE_LANGUAGE;
  if (forced !== undefined && forced in MESSAGES) return forced;
  for (const tag of tags)
    for (const one of [tag, tag.split('-')[0]!]) if (LANGUAGES.includes(one)) return one;
  return USUAL;
}

/** The language for a browser, by what it says it reads. */
export const browserLanguage = ({ headers }: Request): string =>
  nearest(
    new Negotiator({ headers: { 'accept-language': headers.get('accept-language') ?? '' } }).languages()
  );

/** The language a member reads, where one is known. */
export const memberLanguage = (language: string | null): string =>
  nearest(language === null ? [] : [language]);
