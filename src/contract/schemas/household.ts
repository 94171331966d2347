import { t } from '../../messages/t.ts';
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

const name = nameText(80, () => t('errors.keepNameUnderLetters3')).required(() =>
  t('errors.giveHouseholdName')
);
const zone = text(60)
  .required(() => t('errors.chooseTimeZoneYouLive'))
  .test(
    'zone',
    () => t('errors.chooseTimeZoneFromList'),
    (value) => isZone(value ?? '')
  );
const units = yup
  .string()
  .oneOf(['metric', 'us'] as const, () => t('errors.chooseMetricOrUsUnits'))
  .required(() => t('errors.chooseMetricOrUsUnits'));
export const memberName = nameText(40).required(() => t('errors.sayWhoYouSoS'));
export const newPassphrase = secret()
  .required(() => t('errors.choosePassphraseEveryoneHouseholdSigns'))
  .min(8, () => t('errors.useAtLeastCharactersThree'))
  .max(200, () => t('errors.keepPassphraseUnderCharacters'));
export const passphrase = secret()
  .required(() => t('errors.enterHouseholdsPassphrase'))
  .max(200, () => t('errors.passphraseHasAtMostCharacters'));

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
  name: nameText(80, () => t('errors.householdsNameHasAtMost')).required(() => t('errors.whichHousehold')),
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
  .typeError(() => t('errors.giveTimeSuchAs'))
  .required(() => t('errors.giveTimeSuchAs'))
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
    .oneOf([...ZONE_CHANGES, null] as const, () => t('errors.chooseWhenWhatPlannedBegins')),
  units,
  latitudeDeg: number(() => t('errors.giveLatitudeDegreesSuchAs'))
    .required(() => t('errors.giveLatitudeDegreesSuchAs2'))
    .min(-90, () => t('errors.latitudeLiesBetween'))
    .max(90, () => t('errors.latitudeLiesBetween')),
  wake: clockTime,
  sleep: clockTime.test(
    'later',
    () => t('errors.bedtimeLeavesNightAtLeast', { NIGHT_MIN: NIGHT_MIN / 60 }),
    (value, { parent }) =>
      minutesOf(value) > minutesOf(parent.wake) ||
      (minutesOf(value) < minutesOf(parent.wake) &&
        dayMinutes(value, parent) <= minutesOf(parent.wake) + 1440 - NIGHT_MIN)
  ),
  morning: clockTime.test(
    'awake',
    () => t('errors.roundMustFallWhileYou'),
    (value, { parent }) => isUp(value, parent)
  ),
  /** Empty for one round a day. */
  evening: yup
    .string()
    .default('')
    .typeError(() => t('errors.giveTimeSuchAsOr'))
    .matches(/^([01]?\d|2[0-3]):[0-5]\d$/, {
      get message() {
        return () => t('errors.giveTimeSuchAsOr');
      },
      excludeEmptyString: true
    })
    .test(
      'awake',
      () => t('errors.roundMustFallWhileYou'),
      (value, { parent }) => !value || isUp(value, parent)
    )
    .test(
      'order',
      () => t('errors.secondRoundComesAfterFirst'),
      (value, { parent }) => !value || dayMinutes(value, parent) > dayMinutes(parent.morning, parent)
    )
    .test(
      'apart',
      () => t('errors.roundsLieAtLeastHour'),
      (value, { parent }) =>
        !value || !(dayMinutes(value, parent) - dayMinutes(parent.morning, parent) < ROUNDS_APART_MIN)
    ),
  methodKey: key(() => t('errors.chooseMethod')).required(() => t('errors.chooseMethod'))
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
