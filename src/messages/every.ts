import { MESSAGES } from '$catalogue/every.ts';
import { register } from './t.ts';

/** Every message in every language, for whoever may write to anybody: the server, its worker, and the tests. */
for (const [language, messages] of Object.entries(MESSAGES)) register(language, messages);
