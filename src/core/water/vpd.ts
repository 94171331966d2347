/** Vapour pressure deficit in kPa of air at a temperature (degC) and relative humidity (%), Tetens' formula. */
export function vpdKpa(tempC: number, humidityPct: number): number {
  return 0.6108 * Math.exp((17.27 * tempC) / (tempC + 237.3)) * (1 - humidityPct / 100);
}
