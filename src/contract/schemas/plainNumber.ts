import { readField } from '../../core/units/field.ts';
import type { Units } from '../../core/units/format.ts';
import { readNumber, type UnitKind } from '../../core/units/parseQuantity.ts';

/**
 * What a form's field says as a number for a schema: decimal commas and fractions are read; an empty field is null;
 * what cannot be read stays as typed, for the schema to complain of.
 */
export function plainNumber(text: string | undefined): number | string | null {
  const typed = (text ?? '').trim();
  return typed === '' ? null : (readNumber(typed.replace(/\s*%$/, '')) ?? typed);
}

/**
 * The same for a quantity, which may be typed in any unit of its kind.
 * @param units of the household: what is meant where no unit is typed
 * @param before what the field was filled with; null for nothing
 * @returns g, cm, mL or seeds to the cm2
 */
export function plainQuantity(
  text: string | undefined,
  kind: UnitKind,
  units: Units,
  before?: number | null
): number | string | null {
  const typed = (text ?? '').trim();
  if (typed === '') return null;
  const read = readField(typed, kind, units, before ?? null);
  return read.ok ? read.value : typed;
}
