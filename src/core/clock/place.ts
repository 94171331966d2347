import type { Crop } from '../crops/crop.ts';
import { lampDli, lightResponse, sillDli, type Aspect } from './light.ts';
import { temperatureResponse } from './temperature.ts';

export type PlaceLight =
  { kind: 'lamp'; ppfd: number; hours: number } | { kind: 'sill'; aspect: Aspect; back: boolean };

/** Where trays stand, with its usual warmth, air and light. */
export interface Place {
  id: string;
  name: string;
  light: PlaceLight;
  dayC: number;
  nightC: number;
  humidityPct: number;
  movingAir: boolean;
}

/** Hours of a day that the usual day temperature stands for. */
export const DAY_HOURS = 16;

/** How fast the crop develops here for want of warmth alone: its mean over the usual day and night. */
export function warmthRate(crop: Crop, place: Place): number {
  const day = temperatureResponse(crop, place.dayC);
  const night = temperatureResponse(crop, place.nightC);
  return (day * DAY_HOURS + night * (24 - DAY_HOURS)) / 24;
}

/** Mean temperature of a place over 24 h, degC. */
export const meanTempC = (place: Place): number =>
  (place.dayC * DAY_HOURS + place.nightC * (24 - DAY_HOURS)) / 24;

/** How light slows the clock here on a day of the year. */
export function placeLightResponse({ light }: Place, latitudeDeg: number, dayOfYear: number): number {
  if (light.kind === 'lamp') return lightResponse(lampDli(light.ppfd, light.hours));
  const year = sillYear(latitudeDeg, light.aspect, light.back);
  return (year[dayOfYear] ??= lightResponse(sillDli(latitudeDeg, dayOfYear, light.aspect, light.back)));
}

const sillYears = new Map<string, number[]>();
/** More sills than a server's households have latitudes and windows would be needed to fill this. */
const MOST_SILLS = 2000;

/** Every forecast on a sill asks for the same days of the same year: worked out once. */
function sillYear(latitudeDeg: number, aspect: Aspect, back: boolean): number[] {
  const key = `${latitudeDeg}|${aspect}|${back}`;
  let year = sillYears.get(key);
  if (!year) {
    if (sillYears.size >= MOST_SILLS) sillYears.clear();
    sillYears.set(key, (year = []));
  }
  return year;
}
