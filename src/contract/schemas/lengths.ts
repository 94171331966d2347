import { t } from '../../messages/t.ts';
import type { AnySchema } from 'yup';

/** A text for which its schema names no length of its own: an id, a key, a day, a number as it was typed. */
const LONGEST_TEXT = 200;
/** A list for which its schema names no length; a test says that there is none. */
const LONGEST_LIST = 100;

/** What is too long, and what to do about it. */
export interface TooLong {
  path: string;
  message: string;
}

interface Most {
  most: number;
  message: string;
}

/** What a schema says of its own longest length; null where it says nothing. */
const saidBy = (options: { message?: unknown } | undefined): string | null =>
  typeof options?.message === 'function'
    ? String(options.message())
    : typeof options?.message === 'string'
      ? options.message
      : null;

/** The length that a schema allows, as its own `max` says it. */
function mostOf({ tests }: AnySchema, otherwise: number): Most {
  const options = tests.find(({ OPTIONS }) => OPTIONS?.name === 'max')?.OPTIONS;
  const most = Number(options?.params?.max ?? otherwise);
  return {
    most,
    message: saidBy(options) ?? t('errors.sendAtMostMostThese', { most })
  };
}

/**
 * The first text or list that is longer than its schema allows; null where none is. Asked before a schema reads anything:
 * a schema goes through all items of a list that it then refuses for its length.
 */
export function tooLongIn(schema: AnySchema, value: unknown, path = ''): TooLong | null {
  if (typeof value === 'string') {
    const { most, message } =
      schema.type === 'string'
        ? mostOf(schema, LONGEST_TEXT)
        : { most: LONGEST_TEXT, message: t('errors.keepUnderLongestTextLetters', { LONGEST_TEXT }) };
    return value.length > most ? { path, message } : null;
  }
  if (value === null || typeof value !== 'object') return null;
  const { fields, innerType } = schema as { fields?: Record<string, AnySchema>; innerType?: AnySchema };
  if (Array.isArray(value)) {
    const { most, message } = mostOf(schema, LONGEST_LIST);
    if (value.length > most) return { path, message };
    if (!innerType) return null;
    for (const [index, one] of value.entries()) {
      const found = tooLongIn(innerType, one, `${path}.${index}`);
      if (found) return found;
    }
    return null;
  }
  for (const [name, field] of Object.entries(fields ?? {})) {
    const found = tooLongIn(field, (value as Record<string, unknown>)[name], path ? `${path}.${name}` : name);
    if (found) return found;
  }
  return null;
}

/** The paths of lists in a schema that name no longest length; for a test. */
export function unboundedIn(schema: AnySchema, path = ''): string[] {
  const { fields, innerType } = schema as { fields?: Record<string, AnySchema>; innerType?: AnySchema };
  const own =
    schema.type === 'array' &&
    !schema.tests.some(({ OPTIONS }) => OPTIONS?.name === 'max' || OPTIONS?.name === 'length')
      ? [path || 'the whole']
      : [];
  return [
    ...own,
    ...(innerType ? unboundedIn(innerType, `${path}[]`) : []),
    ...Object.entries(fields ?? {}).flatMap(([name, field]) =>
      unboundedIn(field, path ? `${path}.${name}` : name)
    )
  ];
}
