import { figure, UNIT_OF_DENSITY, type Units } from './format.ts';
import { parseQuantity, unitFactor, type Parsed, type UnitKind } from './parseQuantity.ts';

/** What a household types in where it types no unit. */
const FIELD_UNITS: Readonly<Record<UnitKind, Readonly<Record<Units, string>>>> = {
  mass: { metric: 'g', us: 'oz' },
  length: { metric: 'cm', us: 'in' },
  volume: { metric: 'mL', us: 'fl oz' },
  density: UNIT_OF_DENSITY
};

/** The unit of a household's fields. */
export const fieldUnit = (kind: UnitKind, units: Units): string => FIELD_UNITS[kind][units];

/** A kept value (g, cm, mL, seeds to the cm2) as a household's field shows it; empty for none. */
export const inField = (value: number | null | undefined, kind: UnitKind, units: Units): string =>
  value === null || value === undefined || !Number.isFinite(value)
    ? ''
    : figure(value / unitFactor(kind, fieldUnit(kind, units))!);

/**
 * What a household's field says, in g, cm, mL or seeds to the cm2.
 * @param before the stored value the field showed: if the text is unchanged, this exact value is returned
 */
export function readField(text: string, kind: UnitKind, units: Units, before: number | null): Parsed {
  if (before !== null && text.trim() === inField(before, kind, units)) return { ok: true, value: before };
  return parseQuantity(text, kind, fieldUnit(kind, units));
}

/** How a figure kept in metric reads in US units: `us = metric * by + plus`. */
interface Converted {
  unit: string;
  by: number;
  plus: number;
}
const OZ_G = unitFactor('mass', 'oz')!;
const IN_CM = unitFactor('length', 'in')!;
const CONVERTED: Readonly<Record<string, Converted | undefined>> = {
  '°C': { unit: '°F', by: 1.8, plus: 32 },
  cm: { unit: 'in', by: 1 / IN_CM, plus: 0 },
  'g/cm²': { unit: 'oz/in²', by: IN_CM ** 2 / OZ_G, plus: 0 },
  'g/m²': { unit: 'oz/ft²', by: (30.48 / 100) ** 2 / OZ_G, plus: 0 }
};
const SAME: Omit<Converted, 'unit'> = { by: 1, plus: 0 };
const convertedFor = (unit: string, units: Units): Converted =>
  (units === 'us' ? CONVERTED[unit] : undefined) ?? { unit, ...SAME };

/** The household's unit for a figure stored in the given unit. */
export const unitShown = (unit: string, units: Units): string => convertedFor(unit, units).unit;

/** A stored figure in the household's unit. */
export function shownIn(value: number, unit: string, units: Units): string {
  const { by, plus } = convertedFor(unit, units);
  return figure(value * by + plus);
}

/** Converts a typed figure from the household's unit to the stored one. */
export function keptIn(shown: number, unit: string, units: Units): number {
  const { by, plus } = convertedFor(unit, units);
  return (shown - plus) / by;
}
