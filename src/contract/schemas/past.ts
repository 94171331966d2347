import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { PAST_BOUNDS, PAST_PART } from '../../core/notebook/past/pastSowing.ts';
import { LOSS_REASONS } from '../../core/sowing/event.ts';
import { SIZE_BOUNDS } from '../../core/supplies/containers/container.ts';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import { id, key, moment, number, optionalNumber, text } from './primitives.ts';

const WRONG_SIZE = () => t('errors.containersSidesBetweenCm');
const TOO_MUCH = () => t('errors.tooMuchOneSowingAt');

const optionalMoment = () => moment().nullable().default(null);
const side = () =>
  number(WRONG_SIZE).min(SIZE_BOUNDS.lengthCm[0], WRONG_SIZE).max(SIZE_BOUNDS.lengthCm[1], WRONG_SIZE);
const amount = (most: number) =>
  optionalNumber(() => t('errors.writeAmountAsNumber'))
    .moreThan(0, () => t('errors.amountMoreThan'))
    .max(most, TOO_MUCH);

const pastSowing = yup.object({
  cropKey: key(() => t('errors.chooseCrop')).required(() => t('errors.chooseCrop')),
  sownAt: moment().required(() => t('errors.pastSowingHasSowingDate')),
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
  count: number(() => t('errors.writeHowManyTrays'))
    .integer(() => t('errors.writeWholeNumberTrays'))
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
  copy: number(() => t('errors.writeWholeNumber'))
    .integer()
    .min(0)
    .max(10_000)
    .required()
});

/** A part of a list of past sowings: to be imported, or with `dry` to tell what they would teach. */
export const pastSchema = yup.object({
  sowings: yup
    .array(pastSowing.required())
    .typeError(() => t('errors.sendListSowings'))
    .min(1, () => t('errors.sendAtLeastOneSowing'))
    .max(PAST_PART, () => t('errors.sendAtMostPastPart', { PAST_PART }))
    .required(() => t('errors.sendListSowings')),
  /** Where those stood whose list does not say. */
  placeId: id().required(() => t('errors.chooseWhereTheyStood')),
  /** What those grew in whose list does not say; null where nobody knows. */
  containerId: id().nullable().default(null),
  dry: yup.boolean().default(false)
});
