import * as yup from 'yup';
import { PAST_BOUNDS, PAST_PART } from '../../core/notebook/past/pastSowing.ts';
import { LOSS_REASONS } from '../../core/sowing/event.ts';
import { SIZE_BOUNDS } from '../../core/supplies/containers/container.ts';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import { id, key, moment, number, optionalNumber, text } from './primitives.ts';

const WRONG_SIZE = 'A container’s sides are between 2 and 150 cm.';
const TOO_MUCH = 'This is too much for one sowing at home. Check the number and its unit.';

const optionalMoment = () => moment().nullable().default(null);
const side = () =>
  number(WRONG_SIZE).min(SIZE_BOUNDS.lengthCm[0], WRONG_SIZE).max(SIZE_BOUNDS.lengthCm[1], WRONG_SIZE);
const amount = (most: number) =>
  optionalNumber('Write an amount as a number.').moreThan(0, 'An amount is more than 0.').max(most, TOO_MUCH);

const pastSowing = yup.object({
  cropKey: key('Choose a crop.').required('Choose a crop.'),
  sownAt: moment().required('A past sowing has a sowing date.'),
  openedAt: optionalMoment(),
  cutAt: optionalMoment(),
  cutG: amount(PAST_BOUNDS.cutG),
  seedG: amount(PAST_BOUNDS.seedG),
  container: yup
    .object({ id: id(), lengthCm: side(), widthCm: side().nullable() })
    .test(
      'container',
      WRONG_SIZE,
      (sent) => sent === null || Boolean(sent.id) || typeof sent.lengthCm === 'number'
    )
    .nullable()
    .default(null),
  count: number('Write how many trays.')
    .integer('Write a whole number of trays.')
    .min(1)
    .max(PAST_BOUNDS.count)
    .required(),
  medium: yup
    .string()
    .nullable()
    .default(null)
    .oneOf([...MEDIA, null] as const),
  placeId: id().nullable().default(null),
  lost: yup
    .string()
    .nullable()
    .default(null)
    .oneOf([...LOSS_REASONS, null] as const),
  note: text(PAST_BOUNDS.note).nullable().default(null),
  copy: number('Write a whole number.').integer().min(0).max(10_000).required()
});

/** A part of a list of past sowings: to be imported, or with `dry` to tell what they would teach. */
export const pastSchema = yup.object({
  sowings: yup
    .array(pastSowing.required())
    .typeError('Send a list of sowings.')
    .min(1, 'Send at least one sowing.')
    .max(PAST_PART, `Send at most ${PAST_PART} sowings at a time.`)
    .required('Send a list of sowings.'),
  /** Where those stood whose list does not say. */
  placeId: id().required('Choose where they stood.'),
  /** What those grew in whose list does not say; null where nobody knows. */
  containerId: id().nullable().default(null),
  dry: yup.boolean().default(false)
});
