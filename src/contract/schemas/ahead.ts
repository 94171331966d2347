import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { AGE_BOUNDS } from '../../core/ahead/cutting.ts';
import { GROUND_PARTS, type GroundPart } from '../../core/ahead/ground.ts';
import { NO_WISH, VARIETY_BOUNDS } from '../../core/ahead/variety.ts';
import { choiceSchema, newSowingSchema } from './sowing.ts';
import { isDay } from '../text.ts';
import { id, key, nameText, number, type Say } from './primitives.ts';

/** More than this a day is a restaurant's. */
export const MOST_EATEN_G = 20_000;
const MOST_EATERS = 20;

/** A day that exists, `YYYY-MM-DD`. */
export const dayName = (say: Say) => yup.string().typeError(say).required(say).test('day', say, isDay);

const someWeekdays = () =>
  yup
    .array()
    .of(
      number(() => t('errors.chooseDaysWeek'))
        .integer()
        .min(1)
        .max(7)
        .required()
    )
    .max(7, () => t('errors.weekHasSevenDays'));

/** Days of the week, 1 for Monday. */
export const weekdays = () => someWeekdays().required();

const grams = number(() => t('errors.giveWhatEatenDaySuch'))
  .min(0, () => t('errors.nobodyEatsLessThanNothing'))
  .max(MOST_EATEN_G, () => t('errors.overKgDayNoHome'))
  .required(() => t('errors.giveWhatEatenDaySuch'));

const cropKeys = () =>
  yup
    .array()
    .of(key(() => t('errors.chooseCrops')).required(() => t('errors.chooseCrops')))
    .max(300, () => t('errors.atMostCrops'))
    .default([]);

const wish = (say: Say, [least, most]: readonly [number, number]) =>
  number(say).integer(say).min(least, say).max(most, say).nullable().default(null);

/** What variety a household wishes for. */
export const varietySchema = yup.object({
  leastCrops: wish(() => t('errors.chooseFromCropsWeek'), VARIETY_BOUNDS.leastCrops),
  mostInRow: wish(() => t('errors.chooseFromOnceSixTimes'), VARIETY_BOUNDS.mostInRow)
});

/** What a household eats, likes and has time for, all of it at once. */
export const appetiteSchema = yup.object({
  eaters: yup
    .array()
    .of(
      yup
        .object({
          id: id().required(),
          name: nameText(40, () => t('errors.keepNameUnderLetters')).required(() =>
            t('errors.sayWhoEatsOrAll')
          ),
          gByWeekday: yup
            .array()
            .of(grams)
            .length(7, () => t('errors.weekHasSevenDays'))
            .max(7, () => t('errors.weekHasSevenDays'))
            .required(),
          liked: cropKeys(),
          disliked: cropKeys()
        })
        .required()
    )
    .max(MOST_EATERS, () => t('errors.atMostPeoplePutSome'))
    .required(),
  tastes: yup
    .array()
    .of(
      yup
        .object({
          cropKey: key(() => t('errors.chooseCrop')).required(() => t('errors.chooseCrop')),
          taste: yup
            .string()
            .oneOf(['liked', 'usual', 'disliked'] as const)
            .required(),
          leastShare: number(() => t('errors.giveShareFrom'))
            .min(0)
            .max(1)
            .nullable()
            .default(null),
          mostShare: number(() => t('errors.giveShareFrom'))
            .min(0)
            .max(1)
            .nullable()
            .default(null)
            .test(
              'over',
              () => t('errors.mostLessThanLeast'),
              (most, { parent }) => {
                const { leastShare: least } = parent as { leastShare: number | null };
                return most === null || most === undefined || least === null || least <= most;
              }
            )
        })
        .required()
    )
    .max(300, () => t('errors.atMostCrops'))
    .required(),
  variety: varietySchema.default(NO_WISH),
  daysOff: weekdays(),
  /** That much was asked back about and is meant. */
  sure: yup.boolean().default(false)
});

/** One portion a day for each of a household. */
export const portionSchema = yup.object({
  id: id().required(),
  portion: yup
    .string()
    .oneOf(['pinch', 'handful', 'salad'] as const, () => t('errors.chooseHowMuchYouEat'))
    .required(() => t('errors.chooseHowMuchYouEat'))
});

const HOW_OLD = () =>
  t('errors.giveAgeDaysFromAge', { AGE_BOUNDS: AGE_BOUNDS[0], AGE_BOUNDS2: AGE_BOUNDS[1] });

/** When an order comes again. */
export const ruleSchema = yup
  .object({
    kind: yup
      .string()
      .oneOf(['every', 'weekdays', 'keep'] as const, () => t('errors.chooseWhenComesAgain'))
      .required(() => t('errors.chooseWhenComesAgain')),
    days: number(() => t('errors.everyHowManyDays'))
      .integer(() => t('errors.wholeDaysGiveWholeNumber'))
      .when('kind', {
        is: 'every',
        then: (schema) =>
          schema
            .min(1, () => t('errors.atLeastEveryDay'))
            .max(120, () => t('errors.atMostEveryDays'))
            .required(() => t('errors.everyHowManyDays'))
      }),
    weekdays: someWeekdays().when('kind', {
      is: 'weekdays',
      then: (schema) => schema.min(1, () => t('errors.chooseAtLeastOneDay')).required()
    }),
    /** What is wanted of it on those days; ready by then where nothing is said. */
    aim: yup
      .object({
        kind: yup
          .string()
          .oneOf(['ready', 'best', 'age'] as const, () => t('errors.chooseHowShouldBeBy'))
          .required(() => t('errors.chooseHowShouldBeBy')),
        days: number(HOW_OLD)
          .integer(() => t('errors.wholeDaysGiveWholeNumber'))
          .when('kind', {
            is: 'age',
            then: (schema) => schema.min(AGE_BOUNDS[0], HOW_OLD).max(AGE_BOUNDS[1], HOW_OLD).required(HOW_OLD)
          })
      })
      .default(undefined)
  })
  .required();

/** A standing order as it is sent. */
export const orderSchema = choiceSchema
  .pick(['parts', 'shareOf', 'count', 'medium', 'mediumId', 'methodKey', 'placeId', 'ownSeedG'])
  .shape({
    id: id().required(),
    containerId: id(() => t('errors.chooseContainer')).required(() => t('errors.chooseContainer')),
    rule: ruleSchema,
    fromDay: dayName(() => t('errors.fromWhichDayOn'))
  });

/** A day of an order that is begun, as a sowing, or left out. */
const orderDay = yup.object({
  orderId: id().required(),
  day: dayName(() => t('errors.whichDayOrder')),
  sowingId: id().nullable().default(null)
});

/** Changes of each kind that are taken at once. */
const MOST_CHANGES = 80;
const MANY_CHANGES = () => t('errors.takeAtMostMostChanges', { MOST_CHANGES });

const fingerprint = yup.string().max(64).required();

/** What is taken of a proposal, all or nothing: what is begun, moved, left out, kept as it is. */
export const planSchema = yup.object({
  /** What it was worked out from; null for what somebody chose by themselves. */
  ground: yup
    .object(
      Object.fromEntries(GROUND_PARTS.map((part) => [part, fingerprint])) as Record<
        GroundPart,
        typeof fingerprint
      >
    )
    .nullable()
    .default(null),
  begin: yup.array().of(newSowingSchema.required()).max(MOST_CHANGES, MANY_CHANGES).default([]),
  /** Planned sowings that are begun on another day. */
  move: yup
    .array()
    .of(
      yup
        .object({
          sowingId: id().required(),
          eventId: id().required(),
          day: dayName(() => t('errors.whichDay'))
        })
        .required()
    )
    .max(MOST_CHANGES, MANY_CHANGES)
    .default([]),
  /** Planned sowings that are not to be begun. */
  leaveOut: yup
    .array()
    .of(yup.object({ sowingId: id().required(), eventId: id().required() }).required())
    .max(MOST_CHANGES, MANY_CHANGES)
    .default([]),
  lock: yup
    .array()
    .of(yup.object({ sowingId: id().required(), locked: yup.boolean().required() }).required())
    .max(MOST_CHANGES, MANY_CHANGES)
    .default([]),
  orderDays: yup.array().of(orderDay.required()).max(MOST_CHANGES, MANY_CHANGES).default([])
});
