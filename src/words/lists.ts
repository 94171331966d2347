import { forReader } from './formats.ts';

const formatOf = forReader((tag, type: Intl.ListFormatType) => new Intl.ListFormat(tag, { type }));

const listed = (items: readonly string[], type: Intl.ListFormatType): string => formatOf(type).format(items);

/** @example allOf(['peas', 'kale', 'cress']) // peas, kale and cress */
export const allOf = (items: readonly string[]): string => listed(items, 'conjunction');

/** A list whose items are drawn by themselves: what stands for each, by its index, and the text between them. */
export const listParts = (many: number): { item: number | null; text: string }[] =>
  formatOf('conjunction')
    .formatToParts(Array.from({ length: many }, (_, index) => String(index)))
    .map(({ type, value }) => ({ item: type === 'element' ? Number(value) : null, text: value }));

/** @example anyOf(['g', 'oz']) // g or oz */
export const anyOf = (items: readonly string[]): string => listed(items, 'disjunction');
