import { isId } from '$contract/text.ts';

/** An address with anything else in place of an id is not there. */
export const match = isId;
