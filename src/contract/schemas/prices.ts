import * as yup from 'yup';
import { key, number, optionalNumber } from './primitives.ts';

/** Currencies that the language of this machine has names for. */
export const CURRENCIES: readonly string[] = Intl.supportedValuesOf('currency');

const price = (what: string) =>
  optionalNumber(`Give what ${what} costs as a number, or leave it empty.`)
    .test(
      'some',
      `A price of 0 says nothing: leave it empty where you do not know what ${what} costs.`,
      (value) => value !== 0
    )
    .min(0, 'A price is not under 0.')
    .max(1_000_000, 'Over a million: check the price.');

/** What a household pays for what all its trays share. */
export const moneySchema = yup.object({
  currency: yup
    .string()
    .oneOf([...CURRENCIES], 'Choose your money.')
    .required('Choose your money.'),
  kWh: price('a kWh'),
  feedL: price('a litre of feed')
});

const some = (say: string) =>
  number(say).required(say).moreThan(0, say).max(10_000_000, 'That is too much: check it.');
const cost = () =>
  number('Give the price as a number.')
    .required('Give the price.')
    .moreThan(0, 'A price of 0 says nothing: take the line out where you do not know it.')
    .max(1_000_000, 'Over a million: check the price.');

/** What a medium costs, and how often it is used. */
export const mediumPriceSchema = yup.object({
  key: key('Choose the medium.').required('Choose the medium.'),
  price: cost(),
  amount: some('Say how much of it that buys.'),
  uses: number('Say how often it is used.')
    .required('Say how often it is used.')
    .integer('It is used a whole number of times.')
    .min(1, 'It is used once at least.')
    .max(1000, 'Over a thousand times: check it.')
});

/** What a crop costs in a shop. */
export const shopPriceSchema = yup.object({
  key: key('Choose the crop.').required('Choose the crop.'),
  price: cost(),
  amount: some('Say how many grams that buys.')
});
