import { parseQuantity, readNumber, type UnitKind } from '../../core/units/parseQuantity.ts';

/**
 * What a form's field says as a number for a schema: decimal commas, fractions and pasted units are read;
 * an empty field is null; what cannot be read stays as typed, for the schema to complain of.
 * @param kind units that are understood, in which case the number is in the kind's base unit
 */
export function plainNumber(text: string | undefined, kind?: UnitKind): number | string | null {
  const typed = (text ?? '').trim();
  if (typed === '') return null;
  if (kind) {
    const base = { mass: 'g', length: 'cm', volume: 'mL', density: '/cm²' }[kind];
    const read = parseQuantity(typed, kind, base);
    return read.ok ? read.value : typed;
  }
  return readNumber(typed.replace(/\s*%$/, '')) ?? typed;
}
