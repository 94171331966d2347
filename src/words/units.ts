import { table } from '$messages/t.ts';

const NAMED: Readonly<Record<string, string | undefined>> = table('bench.unit');

/** How a unit is written: those that are words or abbreviations of words in the reader's language, symbols as they are. */
export const unitLabel = (unit: string): string => NAMED[unit] ?? unit;
