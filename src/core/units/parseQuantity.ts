import { problem, type Problem } from '../problem.ts';

/** What a typed quantity came to: its value in the asked-for unit, or what is wrong with it. */
export type Parsed = { ok: true; value: number } | { ok: false; problem: Problem };

const FRACTIONS: Record<string, number> = {
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 0.125
};

/** Factors to the base unit of each kind: g, cm, mL, seeds to the cm2. Avoirdupois and US customary measures, by definition. */
const UNITS = {
  mass: { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 },
  length: { cm: 1, mm: 0.1, m: 100, in: 2.54, '"': 2.54 },
  volume: {
    ml: 1,
    l: 1000,
    tsp: 4.92892159375,
    tbsp: 14.78676478125,
    cup: 236.5882365,
    'fl oz': 29.5735295625,
    pt: 473.176473,
    qt: 946.352946,
    gal: 3785.411784
  },
  /** Seeds on an area; base: to the cm2. */
  density: { '/cm²': 1, '/cm2': 1, '/in²': 1 / 6.4516, '/in2': 1 / 6.4516 }
} as const;

export type UnitKind = keyof typeof UNITS;

/** Other ways to write a unit, in the singular. */
const ALIASES: Readonly<Record<string, string | undefined>> = {
  gram: 'g',
  kilogram: 'kg',
  kilo: 'kg',
  ounce: 'oz',
  pound: 'lb',
  inch: 'in',
  inche: 'in',
  centimetre: 'cm',
  centimeter: 'cm',
  millimetre: 'mm',
  millimeter: 'mm',
  millilitre: 'ml',
  milliliter: 'ml',
  litre: 'l',
  liter: 'l',
  teaspoon: 'tsp',
  tablespoon: 'tbsp',
  'fluid ounce': 'fl oz',
  floz: 'fl oz',
  pint: 'pt',
  quart: 'qt',
  gallon: 'gal'
};

/** A unit as the table has it: `Ounces` as `oz`, and of something poured as `fl oz`. */
function written(kind: UnitKind, unit: string): string {
  const lower = unit.toLowerCase().replace(/\s+/g, ' ');
  const single = lower.length > 1 ? lower.replace(/s$/, '') : lower;
  const known = ALIASES[lower] ?? ALIASES[single] ?? (lower in UNITS[kind] ? lower : single);
  return kind === 'volume' && known === 'oz' ? 'fl oz' : known;
}

/** Factor from a unit to its kind's base unit (g, cm, mL); undefined for a unit the kind does not have. */
export function unitFactor(kind: UnitKind, unit: string): number | undefined {
  const factors = UNITS[kind] as Record<string, number>;
  return factors[written(kind, unit)] ?? factors[perArea(unit)];
}

/** `seeds per sq in` as the table has it: `/in2`. */
const perArea = (unit: string): string =>
  unit
    .toLowerCase()
    .replace(/^\s*(?:seeds?\s*)?(?:per|\/|a)\s*/, '/')
    .replace(/(?:square|sq\.?)\s*(cm|in)(?:ch)?/, '$12')
    .replace(/\s/g, '');

/**
 * Reads what a person types for a quantity: `12.5`, `12,5 g`, `1/2 oz`, `1 1/2`, `½`, `10 in`, `1 lb 2 oz`, `2 quarts`, `11 seeds per in2`.
 * @param text as typed
 * @param kind which units are understood
 * @param unit taken where none is typed
 * @returns the value in the kind's base unit: g, cm or mL
 */
export function parseQuantity(text: string, kind: UnitKind, unit: string): Parsed {
  const unread: Parsed = { ok: false, problem: problem('no-quantity', { kind }) };
  const pounds = kind === 'mass' ? POUNDS_AND_OUNCES.exec(text) : null;
  if (pounds) {
    const [lb, oz] = [readNumber(pounds[1]!), readNumber(pounds[2]!)];
    return lb === null || oz === null ? unread : { ok: true, value: lb * UNITS.mass.lb + oz * UNITS.mass.oz };
  }
  const match =
    /^\s*([-+]?[\d.,/\s½¼¾⅓⅔⅛]+?)\s*((?:seeds? ?)?(?:\/|per |a ) ?(?:square |sq\.? ?)?(?:cm|in(?:ch)?)[²2]?|[a-z" ]*?)\.?\s*$/i.exec(
      text
    );
  if (!match) return unread;
  const asked = askComma(match[1]!);
  if (asked) return { ok: false, problem: asked };
  const value = readNumber(match[1]!);
  if (value === null) return unread;
  if (value < 0) return { ok: false, problem: problem('under-nothing', { kind }) };
  const factor = unitFactor(kind, match[2] || unit);
  if (factor === undefined) {
    const known = Object.keys(UNITS[kind]).slice(0, 4);
    return { ok: false, problem: problem('no-unit', { typed: match[2] ?? '', known }) };
  }
  return { ok: true, value: value * factor };
}

/** `1 lb 2 oz`. */
const POUNDS_AND_OUNCES =
  /^\s*([\d.,]+)\s*(?:lbs?|pounds?)\.?,?\s*([\d.,/\s½¼¾⅓⅔⅛]+?)\s*(?:oz|ounces?)\.?\s*$/i;

/** `1,200`: a thousand and two hundred to some, one and a fifth to others. */
const EITHER = /^[-+]?[1-9]\d{0,2},\d{3}$/;

/** What is asked where the comma of a number can be both; null where it cannot. */
export function askComma(text: string): Problem | null {
  const typed = /[-+]?[\d.,]+/.exec(text.trim())?.[0] ?? '';
  if (!EITHER.test(typed)) return null;
  const decimal = String(Number(typed.replace(',', '.')));
  return problem('either-number', { typed, whole: typed.replace(',', ''), decimal });
}

/**
 * Reads a plain, comma-decimal, fractional or mixed number; null where it is none.
 * @param comma what a comma before three digits is: asked about, and so no number yet, or known to be a decimal one
 */
export function readNumber(text: string, comma: 'ask' | 'decimal' = 'ask'): number | null {
  let sum = 0;
  const parts = text
    .replace(/([½¼¾⅓⅔⅛])/g, ' $1 ')
    .trim()
    .split(/\s+/);
  if (parts.length > 2 || parts[0] === '') return null;
  for (const [index, part] of parts.entries()) {
    const fraction = /^(\d+)\/(\d+)$/.exec(part);
    const decimal = /^[-+]?(\d+([.,]\d*)?|[.,]\d+)$/.test(part);
    const thousands = /^[-+]?[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(part) && /[,.].*[,.]/.test(part);
    if (comma === 'ask' && EITHER.test(part)) return null;
    if (FRACTIONS[part] !== undefined) sum += FRACTIONS[part];
    else if (fraction) sum += Number(fraction[1]) / Number(fraction[2]);
    else if (thousands) sum += Number(part.replaceAll(',', ''));
    else if (decimal && index === 0) sum += Number(part.replace(',', '.'));
    else return null;
  }
  return Number.isFinite(sum) ? sum : null;
}
