import * as yup from 'yup';
import { number } from './primitives.ts';

/** Most readings in one go: a device that was long without a connection sends what it has in parts. */
export const MOST_READINGS = 5000;
export const MANY_READINGS = `At most ${MOST_READINGS} readings in one go: send them in parts.`;

const reading = yup.object({
  /** ISO time, or milliseconds since 1970; now where it is left out. */
  at: yup
    .mixed<string | number>((at): at is string | number => ['string', 'number'].includes(typeof at))
    .typeError('at is an ISO time, or milliseconds since 1970.')
    .nullable(),
  tempC: number('tempC is the temperature in °C, a number.').required('tempC is the temperature in °C.'),
  humidityPct: number('humidityPct is the relative humidity in percent, a number.').nullable().default(null)
});

/** Readings as JSON. */
export const readingsSchema = yup.object({
  readings: yup
    .array()
    .of(reading.required())
    .required('Send {"readings": [{"at": "2026-11-23T07:30Z", "tempC": 20.5, "humidityPct": 55}]}.')
    .max(MOST_READINGS, MANY_READINGS)
});
