import { unitFactor, type UnitKind } from '../units/parseQuantity.ts';

/** Factors of units that quantities are typed in as well. */
const typed = (kind: UnitKind, ...units: string[]): Record<string, number> =>
  Object.fromEntries(units.map((unit) => [unit, unitFactor(kind, unit)!]));

/** Groups of units that growers convert between; factors to the first of each group. */
export const CONVERSIONS = {
  weight: typed('mass', 'g', 'kg', 'oz', 'lb'),
  volume: typed('volume', 'mL', 'L', 'tsp', 'tbsp', 'fl oz', 'cup', 'gal'),
  length: { ...typed('length', 'cm', 'mm', 'in'), ft: 30.48 },
  area: { 'cm²': 1, 'm²': 10_000, 'in²': 6.4516, 'ft²': 929.0304 },
  density: { 'seeds/cm²': 1, 'seeds/in²': 1 / 6.4516 },
  pressure: { 'g/cm²': 1, 'oz/in²': 28.349523125 / 6.4516 },
  strength: { '%': 1, ppm: 1e-4 }
} as const;

export type ConversionGroup = keyof typeof CONVERSIONS | 'temperature';

/** Units of a group, in the order they are shown. */
export const unitsIn = (group: ConversionGroup): string[] =>
  group === 'temperature' ? ['°C', '°F'] : Object.keys(CONVERSIONS[group]);

/**
 * A figure in another unit of its group.
 * @throws RangeError for a unit the group does not have
 */
export function convert(group: ConversionGroup, value: number, from: string, to: string): number {
  if (group === 'temperature') {
    const degC = from === '°F' ? (value - 32) / 1.8 : value;
    return to === '°F' ? degC * 1.8 + 32 : degC;
  }
  const factors: Record<string, number> = CONVERSIONS[group];
  const [one, other] = [factors[from], factors[to]];
  if (one === undefined || other === undefined) throw new RangeError(`${group} has no such unit.`);
  return (value * one) / other;
}
