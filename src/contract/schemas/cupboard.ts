import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { KEPT_MEDIA } from '../../core/supplies/media/medium.ts';
import { DISINFECTANTS } from '../../core/supplies/seed/disinfect.ts';
import { id, key, nameText, number, optionalDay, optionalNumber, type Say } from './primitives.ts';

const optional = (what: Say, low: number, high: number) =>
  optionalNumber(() => t('errors.giveWhatAsNumberOr', { what: what() }))
    .min(low, () => t('errors.whatMustBeAtLeast', { what: what(), low }))
    .max(high, () => t('errors.whatMustBeAtMost', { what: what(), high }));
const name = (example: Say) =>
  nameText(60, () => t('errors.keepNameUnderLetters2')).required(() =>
    t('errors.giveNameTellApartSuch', { example: example() })
  );
const day = optionalDay(() => t('errors.chooseDate'));

/** Told of a lot at 0 %, off its packet or by a test. */
const NOTHING_SPROUTS = () => t('errors.seedWhichNothingSproutsCannot');

/** A lot of seed as its form sends it. */
export const lotSchema = yup.object({
  id: id().required(),
  cropKey: key(() => t('errors.chooseCrop2')).required(() => t('errors.chooseCrop2')),
  name: name(() => t('bench.tinOnTopShelf')),
  weighedG: number(() => t('errors.weighPacketGiveGramsSuch'))
    .min(0, () => t('errors.seedCannotWeighLessThan'))
    .max(50_000, () => t('errors.overKgSeedCheckWeight'))
    .required(() => t('errors.weighPacketGiveGramsSuch')),
  price: optional(() => t('errors.price'), 0, 1_000_000).test(
    'some',
    () => t('errors.priceSaysNothingLeaveEmpty'),
    (value) => value !== 0
  ),
  packetG: optional(() => t('errors.packet'), 0.1, 50_000),
  boughtOn: day,
  bestBefore: day,
  packetPct: optional(() => t('errors.germination'), 0, 100).test(
    'some',
    NOTHING_SPROUTS,
    (value) => value !== 0
  ),
  test: yup
    .object({
      sprouted: number(() => t('errors.countSeedsSprouted'))
        .integer(() => t('errors.countWholeSeeds'))
        .min(0, () => t('errors.countFrom'))
        .required(() => t('errors.countSeedsSprouted')),
      tested: number(() => t('errors.countSeedsYouLaidOut'))
        .integer(() => t('errors.countWholeSeeds'))
        .min(1, () => t('errors.layOutAtLeastOne'))
        .max(10_000, () => t('errors.noKitchenTowelHoldsOver'))
        .required(() => t('errors.countSeedsYouLaidOut'))
    })
    .test(
      'within',
      () => t('errors.moreSproutedThanWereLaid'),
      (test) => (!test ? true : !(test.sprouted > test.tested))
    )
    .test('some', NOTHING_SPROUTS, (test) => !test || test.sprouted !== 0)
    .nullable()
    .default(null)
});

/** A medium as its form sends it. */
export const mediumSchema = yup.object({
  id: id().required(),
  name: name(() => t('errors.balconyMix')),
  kind: yup
    .string()
    .oneOf(KEPT_MEDIA, () => t('errors.chooseWhat'))
    .required(() => t('errors.chooseWhat')),
  swellLKg: optional(() => t('errors.litresFromDryKilogram'), 1, 30),
  parts: yup
    .array()
    .of(
      yup
        .object({
          name: nameText(60).required(() => t('errors.nameEachPart')),
          parts: number(() => t('errors.giveEachPartNumber'))
            .moreThan(0, () => t('errors.giveEachPartNumber'))
            .max(1000, () => t('errors.atMostParts'))
            .required()
        })
        .required()
    )
    .max(12, () => t('errors.atMostParts2'))
    .nullable()
    .default(null)
});

/** A product to disinfect with as its form sends it. */
export const productSchema = yup.object({
  id: id().required(),
  name: name(() => t('bench.bleachUnderSink')),
  kind: yup
    .string()
    .oneOf(DISINFECTANTS, () => t('errors.chooseWhat'))
    .required(() => t('errors.chooseWhat')),
  strengthPct: number(() => t('errors.giveStrengthOnLabelPercent'))
    .min(0.1, () => t('errors.strengthUnderDisinfectsNothingCheck'))
    .max(100, () => t('errors.strengthMustBeAtMost'))
    .required(() => t('errors.giveStrengthOnLabelPercent')),
  datedOn: day
});

/** What is kept about a container beyond its size. */
export const containerStockSchema = yup.object({
  id: id().required(),
  name: name(() => t('errors.blueTray')),
  emptyG: optional(() => t('errors.emptyWeight'), 0.1, 20_000),
  drains: yup.boolean().required(),
  reservoirMl: optional(() => t('errors.reservoir'), 1, 20_000),
  owned: optional(() => t('errors.number'), 0, 500).integer(() => t('errors.containersComeWholeGiveWhole'))
});
