import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { REMINDER_KINDS } from '../../core/reminders/reminder.ts';
import { id, text } from './primitives.ts';

const SUBSCRIPTION = () => t('errors.browsersSubscriptionCannotBeRead');
const base64url = () =>
  text(300, SUBSCRIPTION)
    .required(SUBSCRIPTION)
    .matches(/^[\w-]+={0,2}$/, SUBSCRIPTION);

/** A mail address to be reminded at. */
export const mailChannelSchema = yup.object({
  id: id().required(),
  to: text(200, () => t('errors.mailAddressHasAtMost'))
    .required(() => t('errors.typeYourMailAddress'))
    .matches(/^[^\s@<>,;:"()[\]\\]+@[^\s@<>,;:"()[\]\\]+\.[^\s@<>,;:"()[\]\\.]+$/, {
      get message() {
        return () => t('errors.noMailAddressSuchAs');
      },
      excludeEmptyString: true
    })
});

/** An address that programs are reached at. */
export const webhookChannelSchema = yup.object({
  id: id().required(),
  url: text(1000, () => t('errors.keepAddressUnderLetters')).required(() =>
    t('errors.typeAddressWithHttpsBefore')
  )
});

/** A browser's subscription, as its form sends it. */
export const pushChannelSchema = yup.object({
  id: id().required(),
  endpoint: text(1000, SUBSCRIPTION).required(SUBSCRIPTION),
  p256dh: base64url(),
  auth: base64url()
});

/** Which kinds go to a channel, as a list in one field. */
export const kindsSchema = yup.object({
  channel: id().required(),
  kinds: yup
    .array()
    .transform((_value: unknown, sent: unknown) =>
      typeof sent === 'string' ? sent.split(',').filter(Boolean) : sent
    )
    .of(yup.string().oneOf(REMINDER_KINDS).required())
    .max(REMINDER_KINDS.length)
    .required()
});

const clock = () =>
  yup
    .string()
    .typeError(() => t('errors.giveTimeSuchAs2'))
    .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, {
      message: () => t('errors.giveTimeSuchAs2'),
      excludeEmptyString: true
    });

/** When a member is to be left alone; both empty for the household's night. */
export const quietSchema = yup.object({
  quietFrom: clock()
    .default('')
    .test(
      'both',
      () => t('errors.giveBothTimesOrLeave'),
      (value, { parent }) => ((value ?? '') === '' ? (parent.quietUntil ?? '') === '' : true)
    ),
  quietUntil: clock()
    .default('')
    .test(
      'both',
      () => t('errors.giveBothTimesOrLeave'),
      (value, { parent }) => ((value ?? '') === '' ? (parent.quietFrom ?? '') === '' : true)
    )
});
