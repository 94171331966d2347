import { unitFactor } from './parseQuantity.ts';

/** How a household reads its figures. */
export type Units = 'metric' | 'us';

/** Rounds to about three significant figures, the most that kitchen tools resolve; no trailing zeros. */
export function figure(value: number): string {
  const size = Math.abs(value);
  const digits = size >= 100 ? 0 : size >= 10 ? 1 : size >= 0.995 ? 2 : 3;
  return String(Number(value.toFixed(digits)));
}

const OZ_G = unitFactor('mass', 'oz')!;
const LB_G = unitFactor('mass', 'lb')!;
/** Ounces to the tenth, or under one to the hundredth: no kitchen scale resolves more. */
const ounces = (g: number): string =>
  String(Number((g / OZ_G).toFixed(g < OZ_G ? 2 : g < 10 * OZ_G ? 1 : 0)));

/** A mass given in g: `45.5 g`, `1.2 kg`, or `1.6 oz` and `2.65 lb`. */
export function mass(g: number, units: Units): string {
  if (units === 'us') return g >= LB_G ? `${figure(g / LB_G)} lb` : `${ounces(g)} oz`;
  return g >= 1000 ? `${figure(g / 1000)} kg` : `${figure(g)} g`;
}

const OZ_TENTH_G = OZ_G / 10;

/** Greens, as a kitchen weighs them: to the tenth of an ounce where it weighs in ounces, and a crumb is nothing. */
export function greensMass(g: number, units: Units): string {
  if (g < CRUMB_G) return mass(0, units);
  return mass(units === 'us' ? Math.max(1, Math.round(g / OZ_TENTH_G)) * OZ_TENTH_G : g, units);
}

const CRUMB_G = 0.5;

/** Seed is weighed on a small scale: grams, and from an ounce on ounces beside them for a household on US units. */
export function seedMass(g: number, units: Units): string {
  return units === 'us' && g >= OZ_G ? `${figure(g)} g (${mass(g, units)})` : `${figure(g)} g`;
}

/** A volume given in mL, to the nearest 5 mL above 50: a jug shows no more. */
export function volume(mL: number, units: Units): string {
  if (units === 'us') {
    if (mL >= 230) {
      const cups = Math.round((mL / 236.588) * 4) / 4;
      return `${figure(cups)} ${cups === 1 ? 'cup' : 'cups'}`;
    }
    return mL >= 25
      ? `${figure(Math.round(mL / 29.5735 / 0.25) * 0.25)} fl oz`
      : `${figure(Math.round((mL / 4.92892) * 4) / 4)} tsp`;
  }
  if (mL >= 1000) return `${figure(Math.round(mL / 10) / 100)} L`;
  return `${mL >= 50 ? Math.round(mL / 5) * 5 : Math.round(mL)} mL`;
}

/** A length given in cm; inches to the tenth, and under one to the hundredth. */
export const length = (cm: number, units: Units): string =>
  `${lengthFigure(cm, units)} ${units === 'us' ? 'in' : 'cm'}`;

/** The same without its unit. */
export function lengthFigure(cm: number, units: Units): string {
  const inches = cm / 2.54;
  return units === 'metric' ? figure(cm) : String(Number(inches.toFixed(inches < 0.95 ? 2 : 1)));
}

/** An area given in cm2, in whole units. */
export const area = (cm2: number, units: Units): string =>
  units === 'us' ? `${figure(cm2 / 6.4516)} in²` : `${Math.round(cm2)} cm²`;

/** Seeds given to the cm2. */
export const seedDensity = (perCm2: number, units: Units): string =>
  `${densityFigure(perCm2, units)} ${densityUnit(units)}`;

/** The same without its unit, as a field has it. */
export const densityFigure = (perCm2: number, units: Units): string =>
  figure(perCm2 / unitFactor('density', UNIT_OF_DENSITY[units])!);

export const densityUnit = (units: Units): string => `seeds${UNIT_OF_DENSITY[units]}`;

/** In what a household counts seeds where nobody types a unit. */
export const UNIT_OF_DENSITY: Readonly<Record<Units, string>> = { metric: '/cm²', us: '/in²' };

/** A temperature given in degC, to the whole degree. */
export function temperature(degC: number, units: Units): string {
  return units === 'us' ? `${Math.round(degC * 1.8 + 32)} °F` : `${Math.round(degC)} °C`;
}

/** A yield given in g per m2. */
export function yieldPerArea(gM2: number, units: Units): string {
  return units === 'us' ? `${figure(gM2 / 28.3495 / 10.7639)} oz/ft²` : `${Math.round(gM2 / 10) * 10} g/m²`;
}
