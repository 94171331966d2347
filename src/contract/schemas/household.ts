import * as yup from 'yup';
import { ofWakingDay } from '../../core/time/rhythm.ts';
import { zoneOf } from '../../core/time/zone.ts';
import { key, nameText, number, secret, text } from './primitives.ts';

/** A zone of the list of names: a bare offset has no clock changes, and the clock here needs them. */
export function isZone(zone: string): boolean {
  if (!/^[A-Za-z][A-Za-z0-9_+/-]*$/.test(zone)) return false;
  try {
    zoneOf(zone);
    return true;
  } catch {
    return false;
  }
}

const name = nameText(80, 'Keep the name under 80 letters.').required('Give the household a name.');
const zone = text(60)
  .required('Choose the time zone you live in.')
  .test('zone', 'Choose a time zone from the list.', (value) => isZone(value ?? ''));
const units = yup
  .string()
  .oneOf(['metric', 'us'] as const, 'Choose metric or US units.')
  .required('Choose metric or US units.');
export const memberName = nameText(40).required('Say who you are, so that others see who did what.');
export const newPassphrase = secret()
  .required('Choose a passphrase: everyone in the household signs in with it.')
  .min(8, 'Use at least 8 characters; three unrelated words are good.')
  .max(200, 'Keep the passphrase under 200 characters.');
export const passphrase = secret()
  .required('Enter the household’s passphrase.')
  .max(200, 'A passphrase has at most 200 characters.');

/** What a new household is asked for. */
export const newHouseholdSchema = yup.object({
  name,
  zone,
  units,
  memberName,
  passphrase: newPassphrase
});

/** Signing in. */
export const signInSchema = yup.object({
  name: nameText(80, 'A household’s name has at most 80 letters.').required('Which household?'),
  memberName,
  passphrase
});

/** Changing the passphrase. */
export const passphraseSchema = yup.object({
  passphraseNow: passphrase,
  passphraseNew: newPassphrase
});

const clockTime = yup
  .string()
  .typeError('Give a time, such as 07:30.')
  .required('Give a time, such as 07:30.')
  .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, 'Give a time, such as 07:30.');

/** A shorter night is a slip: somebody meant the other half of the day. */
const NIGHT_MIN = 180;

/** Two rounds nearer than this are one: what a tray asks for does not change so fast. */
const ROUNDS_APART_MIN = 60;

/** When what is planned begins after a change of the time zone. */
export const ZONE_CHANGES = ['clock', 'moment'] as const;
export type ZoneChange = (typeof ZONE_CHANGES)[number];

/** The household's settings as its form sends them. */
export const householdSchema = yup.object({
  name,
  zone,
  /** Empty where nobody was asked. */
  planned: yup
    .string()
    .transform((value: unknown) => (value === '' ? null : value))
    .nullable()
    .default(null)
    .oneOf([...ZONE_CHANGES, null] as const, 'Choose when what is planned begins.'),
  units,
  latitudeDeg: number('Give the latitude in degrees, such as 43.4; south of the equator is negative.')
    .required('Give the latitude in degrees, such as 43.4.')
    .min(-90, 'Latitude lies between -90 and 90.')
    .max(90, 'Latitude lies between -90 and 90.'),
  wake: clockTime,
  sleep: clockTime.test(
    'later',
    `Bedtime leaves a night of at least ${NIGHT_MIN / 60} hours; it may lie past midnight.`,
    (value, { parent }) =>
      minutesOf(value) > minutesOf(parent.wake) ||
      (minutesOf(value) < minutesOf(parent.wake) &&
        dayMinutes(value, parent) <= minutesOf(parent.wake) + 1440 - NIGHT_MIN)
  ),
  morning: clockTime.test('awake', 'The round must fall while you are up.', (value, { parent }) =>
    isUp(value, parent)
  ),
  /** Empty for one round a day. */
  evening: yup
    .string()
    .default('')
    .typeError('Give a time, such as 20:30, or leave it empty.')
    .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, {
      message: 'Give a time, such as 20:30, or leave it empty.',
      excludeEmptyString: true
    })
    .test(
      'awake',
      'The round must fall while you are up.',
      (value, { parent }) => !value || isUp(value, parent)
    )
    .test(
      'order',
      'The second round comes after the first, as your day goes.',
      (value, { parent }) => !value || dayMinutes(value, parent) > dayMinutes(parent.morning, parent)
    )
    .test(
      'apart',
      'Rounds lie at least an hour apart: nearer, the second has nothing to do that the first did not.',
      (value, { parent }) =>
        !value || !(dayMinutes(value, parent) - dayMinutes(parent.morning, parent) < ROUNDS_APART_MIN)
    ),
  methodKey: key('Choose a method.').required('Choose a method.')
});

/** Minutes past 00:00 of a clock time such as `07:30`. */
export function minutesOf(time: string | undefined): number {
  const [hours, minutes] = (time ?? '').split(':').map(Number);
  return (hours ?? NaN) * 60 + (minutes ?? NaN);
}

/** A clock time from minutes past 00:00, of that day or the night after. */
export const clockTimeOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

interface Hours {
  wake?: string;
  sleep?: string;
}

/** A clock time as minutes of the waking day. */
const dayMinutes = (time: string | undefined, { wake }: Hours): number =>
  ofWakingDay(minutesOf(time), minutesOf(wake));

/** The hours of a form as a rhythm has them: past midnight is the night of the day before. */
export function rhythmMinutes({
  wake,
  sleep,
  morning,
  evening
}: Hours & { morning: string; evening: string }) {
  return {
    wakeMin: minutesOf(wake),
    sleepMin: dayMinutes(sleep, { wake }),
    roundsMin: [morning, evening].filter(Boolean).map((time) => dayMinutes(time, { wake }))
  };
}

const isUp = (time: string | undefined, parent: Hours): boolean =>
  dayMinutes(time, parent) <= dayMinutes(parent.sleep, parent);
