import { temperatureResponse } from '../crops/temperature.ts';
import type { Crop } from '../crops/crop.ts';

/** The marks a crop passes, in order; each is reached after so many optimum days. */
export const MARKS = ['rooted', 'lightReady', 'windowOpen', 'windowBest', 'windowClose'] as const;
export type Mark = (typeof MARKS)[number];

/** The temperature that the table's durations hold for. */
const TABLE_TEMP_C = 21;

/** Optimum days that a seed which should have been soaked and was not starts late (starting figure). */
export const UNSOAKED_DELAY = 0.6;

/** Optimum days that a day at the temperature of the table comes to. */
export const tableRate = (crop: Crop): number => temperatureResponse(crop, TABLE_TEMP_C);

/** Optimum days to each mark, by the table: R_s = duration at 21 degC x f(21). */
export function tableOptimumDays(crop: Crop): Record<Mark, number> {
  const rate = tableRate(crop);
  return {
    rooted: crop.rootedD21 * rate,
    lightReady: crop.lightReadyD21 * rate,
    windowOpen: crop.windowOpenD21 * rate,
    windowBest: crop.windowBestD21 * rate,
    windowClose: crop.windowCloseD21 * rate
  };
}
