import * as yup from 'yup';
import { zoneOf } from '../../core/time/zone.ts';

function isZone(zone: string): boolean {
  try {
    zoneOf(zone);
    return true;
  } catch {
    return false;
  }
}

const name = yup
  .string()
  .trim()
  .required('Give the household a name.')
  .max(80, 'Keep the name under 80 letters.');
const zone = yup
  .string()
  .required('Choose the time zone you live in.')
  .test('zone', 'Choose a time zone from the list.', (value) => isZone(value ?? ''));
const units = yup
  .string()
  .oneOf(['metric', 'us'] as const, 'Choose metric or US units.')
  .required('Choose metric or US units.');
const memberName = yup
  .string()
  .trim()
  .required('Say who you are, so that others see who did what.')
  .max(40, 'Keep it under 40 letters.');

/** What a new household is asked for. */
export const newHouseholdSchema = yup.object({
  name,
  zone,
  units,
  memberName,
  passphrase: yup
    .string()
    .required('Choose a passphrase: everyone in the household signs in with it.')
    .min(8, 'Use at least 8 characters; three unrelated words are good.')
    .max(200, 'Keep the passphrase under 200 characters.')
});

/** Signing in. */
export const signInSchema = yup.object({
  name: yup
    .string()
    .trim()
    .required('Which household?')
    .max(80, 'A household’s name has at most 80 letters.'),
  memberName,
  passphrase: yup
    .string()
    .required('Enter the household’s passphrase.')
    .max(200, 'A passphrase has at most 200 characters.')
});

const clockTime = yup
  .string()
  .required('Give a time, such as 07:30.')
  .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, 'Give a time, such as 07:30.');

/** The household's settings as its form sends them. */
export const householdSchema = yup.object({
  name,
  zone,
  units,
  latitudeDeg: yup
    .number()
    .typeError('Give the latitude in degrees, such as 43.4; south of the equator is negative.')
    .required('Give the latitude in degrees, such as 43.4.')
    .min(-90, 'Latitude lies between -90 and 90.')
    .max(90, 'Latitude lies between -90 and 90.'),
  wake: clockTime,
  sleep: clockTime.test(
    'later',
    'Bedtime must come after getting up, on the same day.',
    (value, { parent }) => minutesOf(value) > minutesOf(parent.wake)
  ),
  morning: clockTime.test('awake', 'The round must fall while you are up.', (value, { parent }) =>
    isUp(value, parent)
  ),
  evening: clockTime
    .test('awake', 'The round must fall while you are up.', (value, { parent }) => isUp(value, parent))
    .test(
      'order',
      'The evening round comes after the morning round.',
      (value, { parent }) => minutesOf(value) > minutesOf(parent.morning)
    ),
  methodKey: yup.string().max(60).required('Choose a method.')
});

/** Minutes past 00:00 of a clock time such as `07:30`. */
export function minutesOf(time: string | undefined): number {
  const [hours, minutes] = (time ?? '').split(':').map(Number);
  return (hours ?? NaN) * 60 + (minutes ?? NaN);
}

/** A clock time from minutes past 00:00. */
export const clockTimeOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

function isUp(time: string | undefined, parent: { wake?: string; sleep?: string }): boolean {
  return minutesOf(time) >= minutesOf(parent.wake) && minutesOf(time) <= minutesOf(parent.sleep);
}
