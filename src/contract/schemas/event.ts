import { t } from '../../messages/t.ts';
import { tooLongIn } from './lengths.ts';
import * as yup from 'yup';
import { ValidationError } from 'yup';
import { SYMPTOMS } from '../../core/symptoms/symptom.ts';
import { HEFT, MOISTURE, type Heft, type Moisture } from '../../core/water/bucket.ts';
import { id, moment, number, text } from './primitives.ts';
import {
  BENCH_STEPS,
  CLEANINGS,
  SPENT_TO,
  CUES,
  LOSS_REASONS,
  PACKINGS,
  SPOILS,
  TAKINGS,
  WASHINGS,
  type EventBody,
  type EventType
} from '../../core/sowing/event.ts';
import { QUESTIONS } from '../../core/supplies/methods/method.ts';
import { SPRAY_NAME_LETTERS } from './method.ts';

const sprayName = text(SPRAY_NAME_LETTERS, () =>
  t('errors.keepNameUnderSprayName', { SPRAY_NAME_LETTERS })
).required(() => t('errors.sayWhatSprayedWith'));
const water = {
  waterG: number(() => t('errors.giveWaterMl'))
    .min(0, () => t('errors.waterCannotBeLessThan'))
    .max(20_000, () => t('errors.overLCheckAmount'))
    .required(() => t('errors.giveWaterMl'))
};
const doses = {
  peroxideMl: number(() => t('errors.givePeroxideMl'))
    .min(0, () => t('errors.peroxideCannotBeLessThan'))
    .max(1000, () => t('errors.overLPeroxideCheckAmount'))
};
/** Of water that was poured through. */
const through = { through: yup.boolean().oneOf([true]) as yup.BooleanSchema<true | undefined> };
/** Something that is taken of a thing in the pantry, in the unit it is counted in. */
const fromPantry = {
  from: id().required(() => t('errors.sayWhatTaken')),
  amount: number(() => t('errors.sayHowMuch'))
    .required(() => t('errors.sayHowMuch'))
    .moreThan(0, () => t('errors.takeMoreThanNothing'))
    .max(50_000, () => t('errors.overKgCheckAmount'))
};
const washing = yup
  .string()
  .oneOf(WASHINGS, () => t('errors.sayWhetherWasWashed'))
  .required(() => t('errors.sayWhetherWasWashed'));
const packings = PACKINGS.filter((packing) => packing !== 'plate');

/** Pieces of the drawn tray that can be cut one by one. */
const MOST_PIECES = 20_000;

type Fields<K extends EventType> = Omit<Extract<EventBody, { type: K }>, 'type'>;
/** Yup makes lists that can be written to. */
type Writable<T> = T extends readonly (infer One)[] ? One[] : T;
/** A body of one kind, but for its type: a schema that checks another shape does not compile. */
type BodyOf<K extends EventType> = { [F in keyof Fields<K>]: Writable<Fields<K>[F]> };

const bodies: { readonly [K in EventType]: yup.ObjectSchema<BodyOf<K>> } = {
  prepared: yup.object({ step: yup.string().oneOf(BENCH_STEPS).required() }),
  soaked: yup.object({}),
  drained: yup.object({}),
  sown: yup.object(water),
  pressed: yup.object({}),
  uncovered: yup.object({}),
  lit: yup.object({}),
  unshaded: yup.object({}),
  misted: yup.object({ ...water, ...doses }),
  watered: yup.object({ ...water, ...doses, ...through }),
  sprayed: yup.object({ ...water, name: sprayName }),
  fed: yup.object({
    ...water,
    ...doses,
    ...through,
    feedMl: number(() => t('errors.giveFeedMl'))
      .min(0, () => t('errors.feedCannotBeLessThan'))
      .max(2000, () => t('errors.overLFeedCheckAmount'))
      .required(() => t('errors.giveFeedMl'))
  }),
  'put-off': yup.object({ until: moment().required(() => t('errors.chooseWhenBegin')) }),
  'stays-covered': yup.object({ until: moment().required(() => t('errors.chooseUntilWhenStaysCovered')) }),
  looked: yup.object({ cue: yup.string().oneOf(CUES).required(), reached: yup.boolean().required() }),
  felt: yup.object({
    moisture: yup
      .string()
      .oneOf(Object.keys(MOISTURE) as Moisture[])
      .required()
  }),
  lifted: yup.object({
    heft: yup
      .string()
      .oneOf(Object.keys(HEFT) as Heft[])
      .required()
  }),
  weighed: yup.object({
    grossG: number(() => t('errors.enterWhatScaleShowsG'))
      .required(() => t('errors.enterWhatScaleShowsG'))
      .moreThan(0, () => t('tray.trayWeighsMoreThanG'))
      .max(50_000, () => t('errors.overKgCheckWeight')),
    full: yup.boolean().required()
  }),
  saw: yup.object({ sight: yup.string().oneOf(SYMPTOMS).required() }),
  turned: yup.object({}),
  aired: yup.object({}),
  moved: yup.object({ placeId: id(() => t('errors.choosePlace')).required(() => t('errors.choosePlace')) }),
  cut: yup.object({
    grossG: number(() => t('errors.enterWhatScaleShowsG'))
      .required(() => t('errors.enterWhatScaleShowsG'))
      .min(0, () => t('errors.weightNotUnderG'))
      .max(50_000, () => t('errors.overKgCheckWeight')),
    tareG: number(() => t('errors.enterEmptyBowlGNone'))
      .required(() => t('errors.enterEmptyBowlGNone'))
      .min(0, () => t('errors.bowlNotUnderG'))
      .max(50_000, () => t('errors.overKgCheckWeight')),
    share: number(() => t('errors.sayHowMuchWasCut'))
      .required(() => t('errors.sayHowMuchWasCut'))
      .moreThan(0, () => t('errors.sayHowMuchWasCut'))
      .max(1, () => t('errors.noMoreThanAllCan')),
    last: yup.boolean().required(),
    pieces: yup
      .array(
        number(() => t('errors.touchWhatWasCut'))
          .integer()
          .min(0)
          .max(MOST_PIECES)
          .required()
      )
      .max(MOST_PIECES, () => t('errors.touchFewerPiecesAtOnce')),
    again: yup.boolean(),
    handling: yup
      .object({
        tool: yup
          .string()
          .oneOf(QUESTIONS.cutting)
          .required(() => t('errors.sayWhatWasCutWith')),
        washing,
        packing: yup
          .string()
          .oneOf(PACKINGS)
          .required(() => t('errors.sayHowKept'))
      })
      .default(undefined)
  }),
  packed: yup.object({
    ...fromPantry,
    packing: yup
      .string()
      .oneOf(packings, () => t('errors.sayHowKept'))
      .required(() => t('errors.sayHowKept')),
    washing,
    made: number(() => t('pantry.sayWhatCame'))
      .required(() => t('pantry.sayWhatCame'))
      .moreThan(0, () => t('errors.cameMoreThanNothing'))
      .max(50_000, () => t('errors.overKgOrLCheck')),
    portion: number(() => t('errors.giveSizePortion'))
      .moreThan(0, () => t('errors.portionMoreThanNothing'))
      .max(50_000)
  }),
  taken: yup.object({ ...fromPantry, to: yup.string().oneOf(TAKINGS).required() }),
  thrown: yup.object({
    ...fromPantry,
    reason: yup
      .string()
      .oneOf(SPOILS, () => t('errors.sayWhy'))
      .required(() => t('errors.sayWhy'))
  }),
  cleaned: yup.object({ step: yup.string().oneOf(CLEANINGS).required(), to: yup.string().oneOf(SPENT_TO) }),
  noted: yup.object({
    text: text(2000, () => t('errors.keepNoteUnderLetters')).required(() => t('errors.writeNoteFirst'))
  }),
  ended: yup.object({
    reason: yup
      .string()
      .oneOf(LOSS_REASONS, () => t('errors.sayWhy'))
      .required(() => t('errors.sayWhy'))
  }),
  undone: yup.object({ eventId: id().required() })
};

/** The schema of each kind of event's body. */
export const bodySchemas: Readonly<Record<EventType, yup.AnyObjectSchema>> = bodies;

/** One event as it is sent. `sure` says that an implausible weight was asked about and stands. */
export const eventSchema = yup.object({
  id: id().required(),
  sowingId: id().required(),
  at: moment().required(() => t('errors.sayWhenWas')),
  taskKey: text(60).nullable().default(null),
  sure: yup.boolean().default(false),
  body: yup
    .object({
      type: yup
        .string()
        .oneOf(Object.keys(bodies) as EventType[])
        .required()
    })
    .required()
});

/**
 * The body of an event, checked by its type.
 * @throws ValidationError naming what is wrong
 */
export function checkBody(sent: { type: EventType }): EventBody {
  const schema: yup.AnyObjectSchema = bodies[sent.type];
  const tooLong = tooLongIn(schema, sent);
  if (tooLong) throw new ValidationError(tooLong.message, undefined, tooLong.path);
  const body = schema.validateSync(sent, { stripUnknown: true });
  // Each schema checks the body of its own kind, which the compiler sees above and not here.
  return { ...body, type: sent.type } as EventBody;
}
