import { isId } from '$contract/text.ts';

/** An id, or `new` for what is to be added. */
export const match = (param: string): boolean => param === 'new' || isId(param);
