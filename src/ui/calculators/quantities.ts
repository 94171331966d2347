import { t } from '$messages/t.ts';
import { problem } from '$core/problem.ts';
import type { QuantityKind } from '$core/calculators/calculator.ts';
import {
  parseQuantity,
  readNumber,
  unitFactor,
  type Parsed,
  type UnitKind
} from '$core/units/parseQuantity.ts';
import { figure, type Units } from '$core/units/format.ts';

/** The unit a quantity is shown in, and taken in where none is typed. */
export function shownUnit(kind: QuantityKind, units: Units): string {
  const us = units === 'us';
  switch (kind) {
    case 'mass':
      return 'g';
    case 'length':
      return us ? 'in' : 'cm';
    case 'volume':
      return us ? t('bench.flOz') : 'mL';
    case 'density':
      return us ? '/in²' : '/cm²';
    case 'area':
      return us ? 'in²' : 'cm²';
    case 'percent':
      return '%';
    case 'ppm':
      return 'ppm';
    case 'per-litre':
      return 'mL/L';
    case 'litre-per-kg':
      return 'L/kg';
    case 'litre':
      return 'L';
    case 'count':
      return '';
  }
}

const isMeasured = (kind: QuantityKind): kind is UnitKind =>
  kind === 'mass' || kind === 'length' || kind === 'volume' || kind === 'density';

const SQUARE_INCH = 6.4516;

/** Base units (g, cm, mL, cm2) in one of the unit shown. */
export function baseUnits(kind: QuantityKind, unit: string): number {
  if (isMeasured(kind)) return unitFactor(kind, unit)!;
  return kind === 'area' && unit === 'in²' ? SQUARE_INCH : 1;
}

/**
 * Reads what was typed for a quantity, in base units. An area may be typed as two sides: `25 x 18`,
 * `10 in x 7 in`; a round one as its diameter: `⌀16` or `d 16`.
 */
export function readQuantity(text: string, kind: QuantityKind, units: Units): Parsed {
  const unit = shownUnit(kind, units);
  if (isMeasured(kind)) return parseQuantity(text, kind, unit);
  if (kind === 'area') return readArea(text, units);
  const plain = text.replace(/\s*(%|ppm|mL\/L|L\/kg|L)\s*$/i, '');
  const value = readNumber(plain);
  return value === null ? { ok: false, problem: problem('no-number') } : { ok: true, value };
}

function readArea(text: string, units: Units): Parsed {
  const side = units === 'us' ? 'in' : 'cm';
  const across = /^\s*(?:⌀|ø|d\b)\s*(.+)$/iu.exec(text);
  if (across) {
    const diameter = parseQuantity(across[1]!, 'length', side);
    return diameter.ok ? { ok: true, value: (Math.PI * diameter.value ** 2) / 4 } : diameter;
  }
  const sides = text.split(/[x×*]/i);
  if (sides.length === 2) {
    const one = parseQuantity(sides[0]!, 'length', side);
    const other = parseQuantity(sides[1]!, 'length', side);
    if (!one.ok) return one;
    return other.ok ? { ok: true, value: one.value * other.value } : other;
  }
  const inches = /(in2|in²|sq ?in)\s*$/i.test(text);
  const value = readNumber(text.replace(/\s*(cm2|cm²|in2|in²|sq ?in)\s*$/i, ''));
  return value === null
    ? { ok: false, problem: problem('no-area') }
    : { ok: true, value: value * (inches || (units === 'us' && !/cm/i.test(text)) ? SQUARE_INCH : 1) };
}

/** A quantity in base units as its field shows it, without the unit. */
export const showQuantity = (value: number, kind: QuantityKind, units: Units): string =>
  Number.isFinite(value) ? figure(value / baseUnits(kind, shownUnit(kind, units))) : '';
