import type { Crop } from './crop.ts';

export type Cardinals = Pick<Crop, 'baseC' | 'optimumC' | 'maximumC'>;

/**
 * How fast a crop develops at a temperature, 0 to 1: the beta function with three cardinal temperatures
 * (Yan & Hunt 1999, Annals of Botany 84:607-614).
 * @param tempC in degC
 */
export function temperatureResponse({ baseC, optimumC, maximumC }: Cardinals, tempC: number): number {
  if (tempC <= baseC || tempC >= maximumC) return 0;
  const power = (optimumC - baseC) / (maximumC - optimumC);
  return ((maximumC - tempC) / (maximumC - optimumC)) * ((tempC - baseC) / (optimumC - baseC)) ** power;
}
