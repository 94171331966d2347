import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { number } from './primitives.ts';

/** Most readings in one go: a device that was long without a connection sends what it has in parts. */
export const MOST_READINGS = 5000;
export const MANY_READINGS = () => t('errors.atMostMostReadingsReadings', { MOST_READINGS });

const reading = yup.object({
  /** ISO time, or milliseconds since 1970; now where it is left out. */
  at: yup
    .mixed<string | number>((at): at is string | number => ['string', 'number'].includes(typeof at))
    .typeError(() => t('errors.atIsoTimeOrMilliseconds'))
    .nullable(),
  tempC: number(() => t('errors.tempcTemperatureCNumber')).required(() => t('errors.tempcTemperatureC')),
  humidityPct: number(() => t('errors.humiditypctRelativeHumidityPercentNumber'))
    .nullable()
    .default(null)
});

/** Readings as JSON. */
export const readingsSchema = yup.object({
  readings: yup
    .array()
    .of(reading.required())
    .required(() => t('errors.sendReadingsAtTZ'))
    .max(MOST_READINGS, MANY_READINGS)
});
