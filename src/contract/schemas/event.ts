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

const sprayName = text(SPRAY_NAME_LETTERS, `Keep its name under ${SPRAY_NAME_LETTERS} letters.`).required(
  'Say what it is sprayed with.'
);
const water = {
  waterG: number('Give the water in mL.')
    .min(0, 'Water cannot be less than 0.')
    .max(20_000, 'That is over 20 L: check the amount.')
    .required('Give the water in mL.')
};
const doses = {
  peroxideMl: number('Give the peroxide in mL.')
    .min(0, 'Peroxide cannot be less than 0.')
    .max(1000, 'Over 1 L of peroxide: check the amount.')
};
/** Of water that was poured through. */
const through = { through: yup.boolean().oneOf([true]) as yup.BooleanSchema<true | undefined> };
/** Something that is taken of a thing in the pantry, in the unit it is counted in. */
const fromPantry = {
  from: id().required('Say what it is taken of.'),
  amount: number('Say how much.')
    .required('Say how much.')
    .moreThan(0, 'Take more than nothing.')
    .max(50_000, 'Over 50 kg: check the amount.')
};
const washing = yup
  .string()
  .oneOf(WASHINGS, 'Say whether it was washed.')
  .required('Say whether it was washed.');
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
    feedMl: number('Give the feed in mL.')
      .min(0, 'Feed cannot be less than 0.')
      .max(2000, 'Over 2 L of feed: check the amount.')
      .required('Give the feed in mL.')
  }),
  'put-off': yup.object({ until: moment().required('Choose when it is to begin.') }),
  'stays-covered': yup.object({ until: moment().required('Choose until when it stays covered.') }),
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
    grossG: number('Enter what the scale shows, in g.')
      .required('Enter what the scale shows, in g.')
      .moreThan(0, 'The tray weighs more than 0 g: is it on the scale?')
      .max(50_000, 'Over 50 kg: check the weight.'),
    full: yup.boolean().required()
  }),
  saw: yup.object({ sight: yup.string().oneOf(SYMPTOMS).required() }),
  turned: yup.object({}),
  aired: yup.object({}),
  moved: yup.object({ placeId: id('Choose a place.').required('Choose a place.') }),
  cut: yup.object({
    grossG: number('Enter what the scale shows, in g.')
      .required('Enter what the scale shows, in g.')
      .min(0, 'A weight is not under 0 g.')
      .max(50_000, 'Over 50 kg: check the weight.'),
    tareG: number('Enter the empty bowl, in g; 0 for none.')
      .required('Enter the empty bowl, in g; 0 for none.')
      .min(0, 'A bowl is not under 0 g.')
      .max(50_000, 'Over 50 kg: check the weight.'),
    share: number('Say how much of it was cut.')
      .required('Say how much of it was cut.')
      .moreThan(0, 'Say how much of it was cut.')
      .max(1, 'No more than all of it can be cut.'),
    last: yup.boolean().required(),
    pieces: yup
      .array(number('Touch what was cut.').integer().min(0).max(MOST_PIECES).required())
      .max(MOST_PIECES, 'Touch fewer pieces at once.'),
    again: yup.boolean(),
    handling: yup
      .object({
        tool: yup.string().oneOf(QUESTIONS.cutting).required('Say what it was cut with.'),
        washing,
        packing: yup.string().oneOf(PACKINGS).required('Say how it is kept.')
      })
      .default(undefined)
  }),
  packed: yup.object({
    ...fromPantry,
    packing: yup.string().oneOf(packings, 'Say how it is kept.').required('Say how it is kept.'),
    washing,
    made: number('Say what it came to.')
      .required('Say what it came to.')
      .moreThan(0, 'It came to more than nothing.')
      .max(50_000, 'Over 50 kg or 50 L: check the amount.'),
    portion: number('Give the size of a portion.').moreThan(0, 'A portion is more than nothing.').max(50_000)
  }),
  taken: yup.object({ ...fromPantry, to: yup.string().oneOf(TAKINGS).required() }),
  thrown: yup.object({ ...fromPantry, reason: yup.string().oneOf(SPOILS, 'Say why.').required('Say why.') }),
  cleaned: yup.object({ step: yup.string().oneOf(CLEANINGS).required(), to: yup.string().oneOf(SPENT_TO) }),
  noted: yup.object({
    text: text(2000, 'Keep a note under 2000 letters.').required('Write the note first.')
  }),
  ended: yup.object({ reason: yup.string().oneOf(LOSS_REASONS, 'Say why.').required('Say why.') }),
  undone: yup.object({ eventId: id().required() })
};

/** The schema of each kind of event's body. */
export const bodySchemas: Readonly<Record<EventType, yup.AnyObjectSchema>> = bodies;

/** One event as it is sent. `sure` says that an implausible weight was asked about and stands. */
export const eventSchema = yup.object({
  id: id().required(),
  sowingId: id().required(),
  at: moment().required('Say when this was.'),
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
