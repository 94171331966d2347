import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { id, nameText, number, type Say } from './primitives.ts';

const temperature = (what: Say, isNight = false) =>
  number(() => t('errors.giveWhatTemperature', { what: what() }))
    .required(() => t('errors.giveWhatTemperature', { what: what() }))
    .min(-5, () => t('errors.placeWhereTraysStandWarmer', { when: isNight ? 'yes' : 'no' }))
    .max(45, () => t('errors.noCropHereGrowsOver'));

const size = (what: Say) =>
  number(() => t('errors.giveWhatAsLengthSuch', { what: what() }))
    .min(5, () => t('errors.giveWhatCmSmallerThan', { what: what() }))
    .max(600, () => t('errors.giveWhatCmLongerThan', { what: what() }))
    .nullable()
    .default(null);

const lamp = {
  ppfd: number(() => t('errors.givePpfdMolMS'))
    .min(5, () => t('errors.underMolMSHardly'))
    .max(2500, () => t('errors.overMolMSBrighter')),
  hours: number(() => t('errors.howManyHoursDayOn'))
    .min(1, () => t('errors.atLeastHourDay'))
    .max(24, () => t('errors.dayHasHours')),
  watts: number(() => t('errors.giveWattsOffLabelOr'))
    .min(1, () => t('errors.atLeastW'))
    .max(2000, () => t('errors.overWNoLampShelf'))
    .nullable(),
  distanceCm: number(() => t('errors.giveDistanceCmOrLeave'))
    .min(1, () => t('errors.atLeastCm'))
    .max(300, () => t('errors.atMostCm'))
    .nullable()
};

/** A place where trays stand. */
export const placeSchema = yup.object({
  id: id().required(),
  name: nameText(60, () => t('errors.keepNameUnderLetters2')).required(() => t('sow.namePlaceSuchAsKitchen')),
  light: yup
    .object({
      kind: yup
        .string()
        .oneOf(['lamp', 'sill', 'dark'] as const, () => t('errors.chooseWhatLightThere'))
        .required(() => t('errors.chooseWhatLightThere')),
      ppfd: lamp.ppfd.when('kind', {
        is: 'lamp',
        then: (schema) => schema.required(() => t('errors.givePpfdOrWattsDistance'))
      }),
      hours: lamp.hours.when('kind', {
        is: 'lamp',
        then: (schema) => schema.required(() => t('errors.howManyHoursDayOn'))
      }),
      watts: lamp.watts,
      distanceCm: lamp.distanceCm,
      aspect: yup
        .string()
        .oneOf(['midday', 'side', 'away'] as const)
        .when('kind', {
          is: 'sill',
          then: (schema) => schema.required(() => t('errors.chooseWhichWayLooks'))
        }),
      back: yup.boolean().when('kind', { is: 'sill', then: (schema) => schema.default(false) })
    })
    .required(),
  dayC: temperature(() => t('errors.day')),
  nightC: temperature(() => t('errors.night'), true),
  humidityPct: number(() => t('errors.giveHumidityPercent'))
    .required(() => t('errors.giveHumidityPercentWhereYou'))
    .min(5, () => t('errors.noKitchenUnderHumid'))
    .max(100, () => t('errors.atMost')),
  movingAir: yup.boolean().required(),
  widthCm: size(() => t('errors.widthBoard')),
  depthCm: size(() => t('errors.depthBoard')),
  ratedG: number(() => t('errors.giveRatedLoadAsWeight'))
    .min(200, () => t('errors.underGCarriesNoTray'))
    .max(500_000, () => t('errors.overKgCheckRating'))
    .nullable()
    .default(null)
});

/** A device of a place as its form sends it. */
export const deviceSchema = yup.object({
  id: id().required(),
  device: nameText(60, () => t('errors.nameAtMostLetters')).required(() => t('errors.nameAtMostLetters')),
  placeId: id(() => t('errors.keepPlaceFirstThenAdd')).required()
});
