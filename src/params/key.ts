import { isKey } from '$shared/text.ts';

/** The key of a crop, a method or a calculator. */
export const match = isKey;
