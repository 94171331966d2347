import { t } from '../../messages/t.ts';
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

const size = number(() => t('errors.giveEachSizeAsNumber')).required(() => t('errors.giveEachSizeAsNumber'));
const optionalId = () => id().nullable().default(null);
const containerSchema = yup
  .object({
    name: nameText(60, () => t('errors.keepNameUnderLetters2')).required(() =>
      t('errors.nameContainerSuchAsBlue')
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
  crop: () => problemWords(problem('no-crop')),
  share: () => problemWords(problem('no-share', { high: MOST_SHARE })),
  count: () =>
    problemWords(problem('count-outside', { low: SIZE_BOUNDS.count[0], high: SIZE_BOUNDS.count[1] })),
  density: () => problemWords(problem('density-outside', { high: MOST_SEEDS_PER_CM2 })),
  seed: () => problemWords(problem('seed-outside', { kg: MOST_SEED_G / 1000 })),
  germination: () => problemWords(problem('germination-outside')),
  soak: () => problemWords(problem('soak-outside', { high: MOST_SOAK_H })),
  stack: () => problemWords(problem('stack-outside', { high: MOST_IN_STACK })),
  day: () => problemWords(problem('no-such-day'))
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
          variety: text(MOST_VARIETY_LETTERS, () =>
            t('errors.keepNameVarietyUnderMost', { MOST_VARIETY_LETTERS })
          )
        })
        .required()
    )
    .required(say.crop)
    .min(1, say.crop)
    .max(MOST_PARTS, () => t('errors.atMostSixCropsOne'));

const shareOfSchema = () =>
  yup
    .string()
    .oneOf(['weight', 'count'] as const, () => t('errors.chooseHowSharesCounted'))
    .default('weight');

/**
 * What was chosen for a sowing, as it is sent: its types and lengths. Whether it can be sown is for `resolve` to say, here as in
 * the form.
 */
export const choiceSchema = yup.object({
  kind: yup
    .string()
    .oneOf(['one', 'halves', 'blended'] as const, () => t('errors.chooseHowCropsShareContainer'))
    .required(() => t('errors.chooseHowCropsShareContainer')),
  parts: partsSchema(),
  shareOf: shareOfSchema(),
  staggered: yup.boolean().default(false),
  container: containerSchema,
  count: number(say.count).required(say.count),
  medium: yup
    .string()
    .typeError(() => t('errors.chooseMedium'))
    .oneOf(MEDIA, () => t('errors.chooseMedium'))
    .required(() => t('errors.chooseMedium')),
  mediumId: optionalId(),
  methodKey: key(() => t('errors.chooseMethod')).required(() => t('errors.chooseMethod')),
  // Yup cannot infer the answers, which the schema takes from the list of questions.
  method: methodSchema.nullable().default(null) as unknown as yup.Schema<Method | null>,
  placeId: id(() => t('errors.choosePlace')).required(() => t('errors.choosePlace')),
  lightPlaceId: optionalId(),
  density: yup
    .string()
    .oneOf(['sparse', 'usual', 'dense', 'own'] as const, () => t('errors.chooseDensity'))
    .required(() => t('errors.chooseDensity')),
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
