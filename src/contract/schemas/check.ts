import { tooLongIn } from './lengths.ts';
import { ValidationError, type AnyObjectSchema, type InferType } from 'yup';

export type Checked<T> = { ok: true; value: T } | { ok: false; errors: Record<string, string> };

/** Checks what was sent against a schema, lengths before contents; the first complaint of each field, by its path. */
export function check<S extends AnyObjectSchema>(schema: S, sent: unknown): Checked<InferType<S>> {
  // A bare text or number would be taken for JSON of its own.
  const object = sent !== null && typeof sent === 'object' && !Array.isArray(sent) ? sent : {};
  const tooLong = tooLongIn(schema, object);
  if (tooLong) return { ok: false, errors: { [tooLong.path]: tooLong.message } };
  try {
    return {
      ok: true,
      value: schema.validateSync(object, { abortEarly: false, stripUnknown: true }) as InferType<S>
    };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const errors: Record<string, string> = {};
    for (const one of error.inner.length > 0 ? error.inner : [error])
      // `parts[0].share` is `parts.0.share` everywhere else.
      errors[(one.path ?? '').replace(/\[(\d+)\]/g, '.$1')] ??= one.message;
    return { ok: false, errors };
  }
}
