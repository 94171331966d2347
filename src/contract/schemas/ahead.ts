import * as yup from 'yup';
import { AGE_BOUNDS } from '../../core/ahead/cutting.ts';
import { GROUND_PARTS, type GroundPart } from '../../core/ahead/ground.ts';
import { NO_WISH, VARIETY_BOUNDS } from '../../core/ahead/variety.ts';
import { choiceSchema, newSowingSchema } from './sowing.ts';
import { isDay } from '../text.ts';
import { id, key, nameText, number } from './primitives.ts';

/** More than this a day is a restaurant's. */
export const MOST_EATEN_G = 20_000;
const MOST_EATERS = 20;

/** A day that exists, `YYYY-MM-DD`. */
export const dayName = (say: string) => yup.string().typeError(say).required(say).test('day', say, isDay);

/** Days of the week, 1 for Monday. */
export const weekdays = () =>
  yup
    .array()
    .of(number('Choose days of the week.').integer().min(1).max(7).required())
    .max(7, 'A week has seven days.')
    .required();

const grams = number('Give what is eaten a day, such as 60 g; 0 for none.')
  .min(0, 'Nobody eats less than nothing: give 0 for none.')
  .max(MOST_EATEN_G, 'Over 20 kg a day is no home: give what a day takes.')
  .required('Give what is eaten a day, such as 60 g; 0 for none.');

const cropKeys = () =>
  yup.array().of(key('Choose crops.').required('Choose crops.')).max(300, 'At most 300 crops.').default([]);

const wish = (say: string, [least, most]: readonly [number, number]) =>
  number(say).integer(say).min(least, say).max(most, say).nullable().default(null);

/** What variety a household wishes for. */
export const varietySchema = yup.object({
  leastCrops: wish('Choose from 2 to 6 crops a week.', VARIETY_BOUNDS.leastCrops),
  mostInRow: wish('Choose from once to six times in a row.', VARIETY_BOUNDS.mostInRow)
});

/** What a household eats, likes and has time for, all of it at once. */
export const appetiteSchema = yup.object({
  eaters: yup
    .array()
    .of(
      yup
        .object({
          id: id().required(),
          name: nameText(40, 'Keep the name under 40 letters.').required('Say who eats it, or “All of us”.'),
          gByWeekday: yup
            .array()
            .of(grams)
            .length(7, 'A week has seven days.')
            .max(7, 'A week has seven days.')
            .required(),
          liked: cropKeys(),
          disliked: cropKeys()
        })
        .required()
    )
    .max(MOST_EATERS, 'At most 20 people: put some together.')
    .required(),
  tastes: yup
    .array()
    .of(
      yup
        .object({
          cropKey: key('Choose a crop.').required('Choose a crop.'),
          taste: yup
            .string()
            .oneOf(['liked', 'usual', 'disliked'] as const)
            .required(),
          leastShare: number('Give a share from 0 to 100 %.').min(0).max(1).nullable().default(null),
          mostShare: number('Give a share from 0 to 100 %.')
            .min(0)
            .max(1)
            .nullable()
            .default(null)
            .test('over', 'The most is less than the least.', (most, { parent }) => {
              const { leastShare: least } = parent as { leastShare: number | null };
              return most === null || most === undefined || least === null || least <= most;
            })
        })
        .required()
    )
    .max(300, 'At most 300 crops.')
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
    .oneOf(['pinch', 'handful', 'salad'] as const, 'Choose how much you eat.')
    .required('Choose how much you eat.')
});

const HOW_OLD = `Give its age in days, from ${AGE_BOUNDS[0]} to ${AGE_BOUNDS[1]}.`;

/** When an order comes again. */
export const ruleSchema = yup
  .object({
    kind: yup
      .string()
      .oneOf(['every', 'weekdays', 'keep'] as const, 'Choose when it comes again.')
      .required('Choose when it comes again.'),
    days: number('Every how many days?')
      .integer('Whole days: give a whole number.')
      .when('kind', {
        is: 'every',
        then: (schema) =>
          schema
            .min(1, 'At least every day.')
            .max(120, 'At most every 120 days.')
            .required('Every how many days?')
      }),
    weekdays: yup
      .array()
      .of(number('Choose days of the week.').integer().min(1).max(7).required())
      .max(7, 'A week has seven days.')
      .when('kind', {
        is: 'weekdays',
        then: (schema) => schema.min(1, 'Choose at least one day of the week.').required()
      }),
    /** What is wanted of it on those days; ready by then where nothing is said. */
    aim: yup
      .object({
        kind: yup
          .string()
          .oneOf(['ready', 'best', 'age'] as const, 'Choose how it should be by then.')
          .required('Choose how it should be by then.'),
        days: number(HOW_OLD)
          .integer('Whole days: give a whole number.')
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
    containerId: id('Choose a container.').required('Choose a container.'),
    rule: ruleSchema,
    fromDay: dayName('From which day on?')
  });

/** A day of an order that is begun, as a sowing, or left out. */
const orderDay = yup.object({
  orderId: id().required(),
  day: dayName('Which day of the order?'),
  sowingId: id().nullable().default(null)
});

/** Changes of each kind that are taken at once. */
const MOST_CHANGES = 80;
const MANY_CHANGES = `Take at most ${MOST_CHANGES} changes at once.`;

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
        .object({ sowingId: id().required(), eventId: id().required(), day: dayName('To which day?') })
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
