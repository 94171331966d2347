import { isKey } from '$contract/text.ts';

/** The key of a crop, a method or a calculator. */
export const match = isKey;
