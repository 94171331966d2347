import { formattedAs } from '$messages/t.ts';

const formats = new Map<string, Intl.ListFormat>();

function listed(items: readonly string[], type: Intl.ListFormatType): string {
  const tag = formattedAs();
  const id = `${tag} ${type}`;
  let format = formats.get(id);
  if (!format) formats.set(id, (format = new Intl.ListFormat(tag, { type })));
  return format.format(items);
}

/** @example allOf(['peas', 'kale', 'cress']) // peas, kale and cress */
export const allOf = (items: readonly string[]): string => listed(items, 'conjunction');

/** @example anyOf(['g', 'oz']) // g or oz */
export const anyOf = (items: readonly string[]): string => listed(items, 'disjunction');
