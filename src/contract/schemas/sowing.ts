import * as yup from 'yup';
import { SIZE_BOUNDS } from '../../core/supplies/containers/container.ts';
import { problem } from '../../core/problem.ts';
import {
  MOST_SEED_G,
  MOST_SEEDS_PER_CM2,
  MOST_SHARE,
  MOST_SOAK_H,
  MOST_VARIETY_LETTERS
} from '../../core/choice/choiceData.ts';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import { MOST_PARTS } from '../../core/crops/blend.ts';
import { MOST_IN_STACK } from '../../core/shelf/stack.ts';
import { problemWords } from '../../words/problems.ts';
import type { Method } from '../../core/supplies/methods/method.ts';
import { methodSchema } from './method.ts';
import { id, key, nameText, number, optionalDay, optionalNumber, text } from './primitives.ts';
import { placeSchema } from './place.ts';

const size = number('Give each size as a number.').required('Give each size as a number.');
const optionalId = () => id().nullable().default(null);
const containerSchema = yup
  .object({
    name: nameText(60, 'Keep the name under 60 letters.').required(
      'Name the container, such as “Blue tray”.'
    ),
    shape: yup
      .string()
      .oneOf(['rectangle', 'round', 'cells'] as const)
      .required(),
    lengthCm: size,
    widthCm: size,
    depthCm: size,
    cells: size
  })
  .required();

const say = {
  crop: problemWords(problem('no-crop')),
  share: problemWords(problem('no-share', { high: MOST_SHARE })),
  count: problemWords(problem('count-outside', { low: SIZE_BOUNDS.count[0], high: SIZE_BOUNDS.count[1] })),
  density: problemWords(problem('density-outside', { high: MOST_SEEDS_PER_CM2 })),
  seed: problemWords(problem('seed-outside', { kg: MOST_SEED_G / 1000 })),
  germination: problemWords(problem('germination-outside')),
  soak: problemWords(problem('soak-outside', { high: MOST_SOAK_H })),
  stack: problemWords(problem('stack-outside', { high: MOST_IN_STACK })),
  day: problemWords(problem('no-such-day'))
};

/** The crops of one sowing. */
const partsSchema = () =>
  yup
    .array()
    .of(
      yup
        .object({
          cropKey: key(say.crop).required(say.crop),
          lotId: optionalId(),
          share: number(say.share).default(1),
          variety: text(
            MOST_VARIETY_LETTERS,
            `Keep the name of a variety under ${MOST_VARIETY_LETTERS} letters.`
          )
        })
        .required()
    )
    .required(say.crop)
    .min(1, say.crop)
    .max(MOST_PARTS, 'At most six crops in one blend.');

const shareOfSchema = () =>
  yup
    .string()
    .oneOf(['weight', 'count'] as const, 'Choose how shares are counted.')
    .default('weight');

/**
 * What was chosen for a sowing, as it is sent: its types and lengths. Whether it can be sown is for `resolve` to say, here as in
 * the form.
 */
export const choiceSchema = yup.object({
  kind: yup
    .string()
    .oneOf(['one', 'halves', 'blended'] as const, 'Choose how the crops share the container.')
    .required('Choose how the crops share the container.'),
  parts: partsSchema(),
  shareOf: shareOfSchema(),
  staggered: yup.boolean().default(false),
  container: containerSchema,
  count: number(say.count).required(say.count),
  medium: yup
    .string()
    .typeError('Choose a medium.')
    .oneOf(MEDIA, 'Choose a medium.')
    .required('Choose a medium.'),
  mediumId: optionalId(),
  methodKey: key('Choose a method.').required('Choose a method.'),
  // Yup cannot infer the answers, which the schema takes from the list of questions.
  method: methodSchema.nullable().default(null) as unknown as yup.Schema<Method | null>,
  placeId: id('Choose a place.').required('Choose a place.'),
  lightPlaceId: optionalId(),
  density: yup
    .string()
    .oneOf(['sparse', 'usual', 'dense', 'own'] as const, 'Choose a density.')
    .required('Choose a density.'),
  seedsPerCm2: optionalNumber(say.density),
  ownSeedG: optionalNumber(say.seed),
  germinationPct: optionalNumber(say.germination),
  soakH: optionalNumber(say.soak),
  stackOf: optionalNumber(say.stack),
  readyBy: optionalDay(say.day),
  beginOn: optionalDay(say.day)
});

/** A new sowing as it is sent. The server works out what it comes to. */
export const newSowingSchema = choiceSchema.shape({
  /** Made by the page, so that sending it again makes nothing more. The second is of the other half. */
  ids: yup.object({ first: id().required(), second: id().required(), container: id().required() }).required(),
  newPlace: placeSchema.nullable().default(null),
  /** What the page showed, g a sowing: where it would be other now, that is said before anything is kept. */
  shownSeedG: yup.array().of(number(say.seed).required()).max(2).nullable().default(null)
});
