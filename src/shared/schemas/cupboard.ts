import * as yup from 'yup';
import { MEDIA } from '../../core/medium/medium.ts';

const id = yup.string().uuid('This form is broken: reload the page.').required();
const day = yup
  .string()
  .transform((value: string | null) => (value === '' ? null : value))
  .matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Choose a date.', excludeEmptyString: true })
  .nullable()
  .default(null);
const optional = (what: string, low: number, high: number) =>
  yup
    .number()
    .transform((value: number, typed: unknown) => (typed === '' || typed === null ? null : value))
    .typeError(`Give the ${what} as a number, or leave it empty.`)
    .min(low, `The ${what} must be at least ${low}.`)
    .max(high, `The ${what} must be at most ${high}.`)
    .nullable()
    .default(null);
const name = (example: string) =>
  yup
    .string()
    .trim()
    .required(`Give it a name to tell it apart, such as “${example}”.`)
    .max(60, 'Keep the name under 60 letters.');

/** A lot of seed as its form sends it. */
export const lotSchema = yup.object({
  id,
  cropKey: yup.string().required('Choose the crop.').max(80),
  name: name('Tin on the top shelf'),
  weighedG: yup
    .number()
    .typeError('Weigh the packet: give grams, such as 120.')
    .min(0, 'Seed cannot weigh less than 0.')
    .max(50_000, 'Over 50 kg of seed: check the weight.')
    .required('Weigh the packet: give grams, such as 120.'),
  price: optional('price', 0, 1_000_000),
  boughtOn: day,
  bestBefore: day,
  packetPct: optional('germination', 0, 100).test(
    'some',
    'Seed of which nothing sprouts cannot be sown: leave it out of the cupboard.',
    (value) => value !== 0
  ),
  test: yup
    .object({
      sprouted: yup
        .number()
        .typeError('Count the seeds that sprouted.')
        .integer('Count whole seeds.')
        .min(0, 'Count from 0.')
        .required('Count the seeds that sprouted.'),
      tested: yup
        .number()
        .typeError('Count the seeds you laid out.')
        .integer('Count whole seeds.')
        .min(1, 'Lay out at least one seed; twenty tell more.')
        .max(10_000, 'No kitchen towel holds over 10 000 seeds.')
        .required('Count the seeds you laid out.')
    })
    .test('within', 'More sprouted than were laid out: check both counts.', (test) =>
      !test ? true : test.sprouted <= test.tested
    )
    .nullable()
    .default(null)
});

/** A medium as its form sends it. */
export const mediumSchema = yup.object({
  id,
  name: name('Balcony mix'),
  kind: yup.string().oneOf(MEDIA, 'Choose what it is.').required('Choose what it is.'),
  swellLKg: optional('litres from a dry kilogram', 1, 30),
  parts: yup
    .array()
    .of(
      yup
        .object({
          name: yup.string().required().max(60),
          parts: yup.number().positive().max(1000).required()
        })
        .required()
    )
    .max(12, 'At most 12 parts.')
    .nullable()
    .default(null)
});

/** What is kept about a container beyond its size. */
export const keptContainerSchema = yup.object({
  id,
  name: name('Blue tray'),
  emptyG: optional('empty weight', 0.1, 20_000),
  drains: yup.boolean().required(),
  reservoirMl: optional('reservoir', 1, 20_000),
  owned: optional('number', 0, 500)
});
