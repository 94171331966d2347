/** An element of a compiled message, in the numbering of its parser. */
export interface Element {
  type: number;
  value: string;
  options?: Record<string, { value: Element[] }>;
  children?: Element[];
  offset?: number;
  pluralType?: string;
}

/**
 * A part of a compiled message as it travels, a third of its size: text as it is, a parameter as its name in a list, a
 * choice as its name, its answers and, for a plural, its offset; anything else as it was compiled.
 */
export type Part =
  | string
  | [name: string]
  | [name: string, children: Part[]]
  | [name: string, answers: Record<string, Part[]>]
  | [name: string, answers: Record<string, Part[]>, offset: number]
  | Element
  | 0;
/** A compiled message: its text where nothing is put into it, else its parts. */
export type Compiled = string | Part[];

/** The numbering of the parser. */
const [LITERAL, ARGUMENT, SELECT, PLURAL, POUND, TAG] = [0, 1, 5, 6, 7, 8];

const each = <A, B>(answers: Record<string, A>, work: (one: A) => B): Record<string, B> =>
  Object.fromEntries(Object.entries(answers).map(([answer, one]) => [answer, work(one)]));

/** Packs a compiled message. */
export function packed(elements: readonly Element[]): Part[] {
  return elements.map((element): Part => {
    switch (element.type) {
      case LITERAL:
        return element.value;
      case ARGUMENT:
        return [element.value];
      case POUND:
        return 0;
      case TAG:
        return [element.value, packed(element.children ?? [])];
      case SELECT:
        return [element.value, each(element.options ?? {}, ({ value }) => packed(value))];
      case PLURAL:
        // An ordinal is rare, and travels as it is.
        return element.pluralType === 'ordinal'
          ? element
          : [element.value, each(element.options ?? {}, ({ value }) => packed(value)), element.offset ?? 0];
      default:
        return element;
    }
  });
}

/** A message as it was compiled. */
export function unpacked(parts: readonly Part[]): Element[] {
  return parts.map((part): Element => {
    if (typeof part === 'string') return { type: LITERAL, value: part } as Element;
    if (part === 0) return { type: POUND } as Element;
    if (!Array.isArray(part)) return part;
    const [value, inside, offset] = part as [string, (Part[] | Record<string, Part[]>)?, number?];
    if (inside === undefined) return { type: ARGUMENT, value } as Element;
    if (Array.isArray(inside)) return { type: TAG, value, children: unpacked(inside) } as Element;
    const options = each(inside, (one) => ({ value: unpacked(one) }));
    return (
      offset === undefined
        ? { type: SELECT, value, options }
        : { type: PLURAL, value, options, offset, pluralType: 'cardinal' }
    ) as Element;
  });
}
