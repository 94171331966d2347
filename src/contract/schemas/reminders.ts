import * as yup from 'yup';
import { REMINDER_KINDS } from '../../core/reminders/reminder.ts';
import { id, text } from './primitives.ts';

const SUBSCRIPTION = 'This browser’s subscription cannot be read: turn notifications on once more.';
const base64url = () =>
  text(300, SUBSCRIPTION)
    .required(SUBSCRIPTION)
    .matches(/^[\w-]+={0,2}$/, SUBSCRIPTION);

/** A mail address to be reminded at. */
export const mailChannelSchema = yup.object({
  id: id().required(),
  to: text(200, 'A mail address has at most 200 letters.')
    .required('Type your mail address.')
    .matches(/^[^\s@<>,;:"()[\]\\]+@[^\s@<>,;:"()[\]\\]+\.[^\s@<>,;:"()[\]\\.]+$/, {
      message: 'This is no mail address, such as name@example.org.',
      excludeEmptyString: true
    })
});

/** An address that programs are reached at. */
export const webhookChannelSchema = yup.object({
  id: id().required(),
  url: text(1000, 'Keep the address under 1000 letters.').required(
    'Type the address, with https:// before it.'
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
    .typeError('Give a time, such as 22:00.')
    .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, {
      message: 'Give a time, such as 22:00.',
      excludeEmptyString: true
    });

/** When a member is to be left alone; both empty for the household's night. */
export const quietSchema = yup.object({
  quietFrom: clock()
    .default('')
    .test('both', 'Give both times, or leave both empty.', (value, { parent }) =>
      (value ?? '') === '' ? (parent.quietUntil ?? '') === '' : true
    ),
  quietUntil: clock()
    .default('')
    .test('both', 'Give both times, or leave both empty.', (value, { parent }) =>
      (value ?? '') === '' ? (parent.quietFrom ?? '') === '' : true
    )
});
