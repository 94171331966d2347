import type { AnyObjectSchema, AnySchema, InferType } from 'yup';
import { check, type Checked } from '../../contract/schemas/check.ts';
import { tooLongIn } from '../../contract/schemas/lengths.ts';
import { Breath } from './breath.ts';

/**
 * Checks what was sent against a schema whose fields may be long lists of objects. They are read item by item: others are
 * answered meanwhile, and nothing is read past the first item that is wrong.
 * @returns as `check` does, with the path of the first wrong item
 */
export async function checkLists<S extends AnyObjectSchema>(
  schema: S,
  sent: unknown
): Promise<Checked<InferType<S>>> {
  const tooLong = tooLongIn(schema, sent);
  if (tooLong) return { ok: false, errors: { [tooLong.path]: tooLong.message } };
  const given = sent !== null && typeof sent === 'object' ? (sent as Record<string, unknown>) : {};
  const lists = Object.entries(schema.fields as Record<string, AnySchema>).flatMap(([name, field]) => {
    const { innerType } = field as { innerType?: AnySchema };
    const items = given[name];
    return Array.isArray(items) && innerType?.type === 'object'
      ? [{ name, items, of: innerType as AnyObjectSchema }]
      : [];
  });
  const emptied = Object.fromEntries(lists.map(({ name }) => [name, []]));
  const checked = check(schema, { ...given, ...emptied });
  if (!checked.ok) return checked;
  const value = checked.value as Record<string, unknown>;
  const breath = new Breath();
  for (const { name, items, of } of lists) {
    const read: unknown[] = [];
    for (const [index, item] of items.entries()) {
      const one = check(of, item);
      if (!one.ok)
        return {
          ok: false,
          errors: Object.fromEntries(
            Object.entries(one.errors).map(([path, say]) => [`${name}[${index}]${path && `.${path}`}`, say])
          )
        };
      read.push(one.value);
      await breath.taken();
    }
    value[name] = read;
  }
  return { ok: true, value: value as InferType<S> };
}
