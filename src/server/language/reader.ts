import { AsyncLocalStorage } from 'node:async_hooks';
import '$messages/every.ts';
import { readLanguageFrom } from '$messages/t.ts';

const reading = new AsyncLocalStorage<string>();
readLanguageFrom(() => reading.getStore() ?? 'en');

/** Does work whose words are for somebody who reads a language. */
export const inLanguage = <T>(language: string, work: () => T): T => reading.run(language, work);
