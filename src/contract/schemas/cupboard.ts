import * as yup from 'yup';
import { KEPT_MEDIA } from '../../core/supplies/media/medium.ts';
import { id, key, nameText, number, optionalDay, optionalNumber } from './primitives.ts';

const optional = (what: string, low: number, high: number) =>
  optionalNumber(`Give the ${what} as a number, or leave it empty.`)
    .min(low, `The ${what} must be at least ${low}.`)
    .max(high, `The ${what} must be at most ${high}.`);
const name = (example: string) =>
  nameText(60, 'Keep the name under 60 letters.').required(
    `Give it a name to tell it apart, such as “${example}”.`
  );
const day = optionalDay('Choose a date.');

/** Told of a lot at 0 %, off its packet or by a test. */
const NOTHING_SPROUTS = 'Seed of which nothing sprouts cannot be sown: leave it out of the cupboard.';

/** A lot of seed as its form sends it. */
export const lotSchema = yup.object({
  id: id().required(),
  cropKey: key('Choose the crop.').required('Choose the crop.'),
  name: name('Tin on the top shelf'),
  weighedG: number('Weigh the packet: give grams, such as 120.')
    .min(0, 'Seed cannot weigh less than 0.')
    .max(50_000, 'Over 50 kg of seed: check the weight.')
    .required('Weigh the packet: give grams, such as 120.'),
  price: optional('price', 0, 1_000_000).test(
    'some',
    'A price of 0 says nothing: leave it empty where you do not know it.',
    (value) => value !== 0
  ),
  packetG: optional('packet', 0.1, 50_000),
  boughtOn: day,
  bestBefore: day,
  packetPct: optional('germination', 0, 100).test('some', NOTHING_SPROUTS, (value) => value !== 0),
  test: yup
    .object({
      sprouted: number('Count the seeds that sprouted.')
        .integer('Count whole seeds.')
        .min(0, 'Count from 0.')
        .required('Count the seeds that sprouted.'),
      tested: number('Count the seeds you laid out.')
        .integer('Count whole seeds.')
        .min(1, 'Lay out at least one seed; twenty tell more.')
        .max(10_000, 'No kitchen towel holds over 10 000 seeds.')
        .required('Count the seeds you laid out.')
    })
    .test('within', 'More sprouted than were laid out: check both counts.', (test) =>
      !test ? true : !(test.sprouted > test.tested)
    )
    .test('some', NOTHING_SPROUTS, (test) => !test || test.sprouted !== 0)
    .nullable()
    .default(null)
});

/** A medium as its form sends it. */
export const mediumSchema = yup.object({
  id: id().required(),
  name: name('Balcony mix'),
  kind: yup.string().oneOf(KEPT_MEDIA, 'Choose what it is.').required('Choose what it is.'),
  swellLKg: optional('litres from a dry kilogram', 1, 30),
  parts: yup
    .array()
    .of(
      yup
        .object({
          name: nameText(60).required('Name each part.'),
          parts: number('Give each part its number.')
            .moreThan(0, 'Give each part its number.')
            .max(1000, 'At most 1000 parts.')
            .required()
        })
        .required()
    )
    .max(12, 'At most 12 parts.')
    .nullable()
    .default(null)
});

/** What is kept about a container beyond its size. */
export const containerStockSchema = yup.object({
  id: id().required(),
  name: name('Blue tray'),
  emptyG: optional('empty weight', 0.1, 20_000),
  drains: yup.boolean().required(),
  reservoirMl: optional('reservoir', 1, 20_000),
  owned: optional('number', 0, 500).integer('Containers come whole: give a whole number.')
});
