import type { Reading } from '../../core/places/air/reading.ts';
import { HOUR, type Millis, type Zone } from '../../core/time/zone.ts';

/** A number from 0 to 1 that looks like chance and is the same for the same moment. */
function wobble(at: Millis, salt: number): number {
  const x = Math.sin(at / 977_000 + salt * 78.233) * 43_758.5453;
  return x - Math.floor(x);
}

/** What makes one corner of a kitchen differ from another. */
export interface Corner {
  /** Mean over the day, degC. */
  meanC: number;
  /** From its coolest to its warmest, degC. */
  swingC: number;
  humidityPct: number;
}

/**
 * The air of a kitchen with a glazed balcony: coolest before dawn, warmest in the afternoon, warm and damp
 * while supper is cooked, with a sensor's flutter on top.
 */
export function kitchenAir(at: Millis, zone: Zone, corner: Corner): Reading {
  const hour = zone.minutes(at) / 60;
  const day = Math.cos(((hour - 15) / 24) * 2 * Math.PI);
  const supper = Math.exp(-((hour - 20) ** 2) / 1.5);
  const weather = Math.sin(at / (5.3 * 24 * HOUR)) * 0.8;
  const tempC =
    corner.meanC + (corner.swingC / 2) * day + 0.9 * supper + weather + (wobble(at, 1) - 0.5) * 0.4;
  const humidityPct = corner.humidityPct - 5 * day + 9 * supper + (wobble(at, 2) - 0.5) * 3;
  return { at, tempC: Math.round(tempC * 10) / 10, humidityPct: Math.round(humidityPct) };
}
