import { ValidationError, type AnyObjectSchema, type InferType } from 'yup';

export type Checked<T> = { ok: true; value: T } | { ok: false; errors: Record<string, string> };

/** Checks what was sent against a schema; the first complaint of each field, by its path. */
export function check<S extends AnyObjectSchema>(schema: S, sent: unknown): Checked<InferType<S>> {
  try {
    return {
      ok: true,
      value: schema.validateSync(sent, { abortEarly: false, stripUnknown: true }) as InferType<S>
    };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const errors: Record<string, string> = {};
    for (const one of error.inner.length > 0 ? error.inner : [error]) errors[one.path ?? ''] ??= one.message;
    return { ok: false, errors };
  }
}
