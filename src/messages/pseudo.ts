/** The tag of the pseudo-language. Accented and 40% longer, it shows what is in no catalogue, and what breaks. */
export const PSEUDO = 'en-XA';
