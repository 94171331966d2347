import { t } from '../../messages/t.ts';
import { DAY } from '../../core/time/zone.ts';
import * as yup from 'yup';
import { id, nameText, optionalDay, type Say } from './primitives.ts';
import { memberName, newPassphrase, passphrase } from './household.ts';

/** Somebody who takes an invitation. */
export const joinSchema = yup.object({ memberName, passphrase: newPassphrase });

/** The language that somebody reads, of those there are. */
export const languageSchema = (languages: readonly string[]) =>
  yup.object({
    language: yup
      .string()
      .oneOf(languages, () => t('household.language.choose'))
      .required(() => t('household.language.choose'))
  });

/** A passphrase of one's own. */
export const ownPassphraseSchema = yup.object({ now: passphrase, own: newPassphrase });

const day = (say: Say) => optionalDay(say).required(say);

/** How long anybody is away at a time. */
const MOST_DAYS = 90;
const days = (from: string, until: string): number => (Date.parse(until) - Date.parse(from)) / DAY;

/** Days on which nobody is at home. */
export const awaySchema = yup.object({
  fromDay: day(() => t('errors.chooseFirstDayOnWhich')),
  untilDay: day(() => t('errors.chooseLastDayOnWhich'))
    .test(
      'order',
      () => t('errors.lastDayComesAfterFirst'),
      (value, { parent }) => (value && parent.fromDay ? value >= parent.fromDay : true)
    )
    .test(
      'length',
      () => t('errors.atMostMostDaysDays', { MOST_DAYS }),
      (value, { parent }) => (value && parent.fromDay ? days(parent.fromDay, value) <= MOST_DAYS : true)
    )
});

/** Whoever looks after the trays. */
export const sitterSchema = yup.object({
  id: id().required(),
  name: nameText(40).required(() => t('errors.sayWhoComesBySo')),
  fromDay: day(() => t('errors.chooseTheirFirstDay')),
  untilDay: day(() => t('errors.chooseTheirLastDay')).test(
    'order',
    () => t('errors.theirLastDayComesAfter'),
    (value, { parent }) => (value && parent.fromDay ? value >= parent.fromDay : true)
  )
});
