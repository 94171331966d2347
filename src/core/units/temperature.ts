import type { Units } from './format.ts';

/** Degrees Celsius of degrees Fahrenheit. */
export const celsiusOf = (degF: number): number => (degF - 32) / 1.8;

/** Degrees Fahrenheit of degrees Celsius. */
const fahrenheitOf = (degC: number): number => degC * 1.8 + 32;

/** A temperature as a household's thermometer shows it. */
export const shownDegrees = (degC: number, units: Units): number =>
  units === 'us' ? fahrenheitOf(degC) : degC;

/** Degrees Celsius of what a household's thermometer shows. */
export const readDegrees = (shown: number, units: Units): number =>
  units === 'us' ? celsiusOf(shown) : shown;
