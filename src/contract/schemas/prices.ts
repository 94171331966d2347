import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { key, number, optionalNumber, type Say } from './primitives.ts';

/** Currencies that the language of this machine has names for. */
export const CURRENCIES: readonly string[] = Intl.supportedValuesOf('currency');

const price = (what: Say) =>
  optionalNumber(() => t('errors.giveWhatWhatCostsAs', { what: what() }))
    .test(
      'some',
      () => t('errors.priceSaysNothingLeaveEmpty2', { what: what() }),
      (value) => value !== 0
    )
    .min(0, () => t('errors.priceNotUnder'))
    .max(1_000_000, () => t('errors.overMillionCheckPrice'));

/** What a household pays for what all its trays share. */
export const moneySchema = yup.object({
  currency: yup
    .string()
    .oneOf([...CURRENCIES], () => t('errors.chooseYourMoney'))
    .required(() => t('errors.chooseYourMoney')),
  kWh: price(() => t('errors.kwh')),
  feedL: price(() => t('errors.litreFeed'))
});

const some = (say: Say) =>
  number(say)
    .required(say)
    .moreThan(0, say)
    .max(10_000_000, () => t('errors.tooMuchCheck'));
const cost = () =>
  number(() => t('errors.givePriceAsNumber'))
    .required(() => t('errors.givePrice'))
    .moreThan(0, () => t('errors.priceSaysNothingTakeLine'))
    .max(1_000_000, () => t('errors.overMillionCheckPrice'));

/** What a medium costs, and how often it is used. */
export const mediumPriceSchema = yup.object({
  key: key(() => t('errors.chooseMedium2')).required(() => t('errors.chooseMedium2')),
  price: cost(),
  amount: some(() => t('errors.sayHowMuchBuys')),
  uses: number(() => t('errors.sayHowOftenUsed'))
    .required(() => t('errors.sayHowOftenUsed'))
    .integer(() => t('errors.usedWholeNumberTimes'))
    .min(1, () => t('errors.usedOnceAtLeast'))
    .max(1000, () => t('errors.overThousandTimesCheck'))
});

/** What a crop costs in a shop. */
export const shopPriceSchema = yup.object({
  key: key(() => t('errors.chooseCrop2')).required(() => t('errors.chooseCrop2')),
  price: cost(),
  amount: some(() => t('errors.sayHowManyGramsBuys'))
});
