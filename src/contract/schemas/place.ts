import * as yup from 'yup';
import { id, nameText, number } from './primitives.ts';

const temperature = (what: string) =>
  number(`Give the ${what} temperature.`)
    .required(`Give the ${what} temperature.`)
    .min(-5, `A place where trays stand is warmer than -5 °C ${what === 'night' ? 'at night' : 'by day'}.`)
    .max(45, 'No crop here grows over 45 °C. Is it degrees Fahrenheit? Then write it with °F behind it.');

const size = (what: string) =>
  number(`Give ${what} as a length, such as 75 cm, or leave it out.`)
    .min(5, `Give ${what} in cm: this is smaller than any tray.`)
    .max(600, `Give ${what} in cm: this is longer than a room.`)
    .nullable()
    .default(null);

const lamp = {
  ppfd: number('Give its PPFD in µmol/m²s, or its watts and distance.')
    .min(5, 'Under 5 µmol/m²s is hardly a lamp.')
    .max(2500, 'Over 2500 µmol/m²s is brighter than the sun.'),
  hours: number('How many hours a day is it on?')
    .min(1, 'At least an hour a day.')
    .max(24, 'A day has 24 hours.'),
  watts: number('Give its watts off the label, or leave them out.')
    .min(1, 'At least 1 W.')
    .max(2000, 'Over 2000 W is no lamp for a shelf.')
    .nullable(),
  distanceCm: number('Give the distance in cm, or leave it out.')
    .min(1, 'At least 1 cm.')
    .max(300, 'At most 300 cm.')
    .nullable()
};

/** A place where trays stand. */
export const placeSchema = yup.object({
  id: id().required(),
  name: nameText(60, 'Keep the name under 60 letters.').required('Name the place, such as “Kitchen sill”.'),
  light: yup
    .object({
      kind: yup
        .string()
        .oneOf(['lamp', 'sill', 'dark'] as const, 'Choose what light there is.')
        .required('Choose what light there is.'),
      ppfd: lamp.ppfd.when('kind', {
        is: 'lamp',
        then: (schema) => schema.required('Give its PPFD, or its watts and its distance.')
      }),
      hours: lamp.hours.when('kind', {
        is: 'lamp',
        then: (schema) => schema.required('How many hours a day is it on?')
      }),
      watts: lamp.watts,
      distanceCm: lamp.distanceCm,
      aspect: yup
        .string()
        .oneOf(['midday', 'side', 'away'] as const)
        .when('kind', { is: 'sill', then: (schema) => schema.required('Choose which way it looks.') }),
      back: yup.boolean().when('kind', { is: 'sill', then: (schema) => schema.default(false) })
    })
    .required(),
  dayC: temperature('day'),
  nightC: temperature('night'),
  humidityPct: number('Give the humidity in percent.')
    .required('Give the humidity in percent; 50 where you do not know.')
    .min(5, 'No kitchen is under 5 % humid.')
    .max(100, 'At most 100 %.'),
  movingAir: yup.boolean().required(),
  widthCm: size('the width of the board'),
  depthCm: size('the depth of the board'),
  ratedG: number('Give the rated load as a weight, such as 8 kg, or leave it out.')
    .min(200, 'Under 200 g it carries no tray.')
    .max(500_000, 'Over 500 kg: check the rating.')
    .nullable()
    .default(null)
});

/** A device of a place as its form sends it. */
export const deviceSchema = yup.object({
  id: id().required(),
  device: nameText(60, 'Name it, in at most 60 letters.').required('Name it, in at most 60 letters.'),
  placeId: id('Keep the place first, then add what measures there.').required()
});
