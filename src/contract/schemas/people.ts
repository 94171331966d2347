import { DAY } from '../../core/time/zone.ts';
import * as yup from 'yup';
import { id, nameText, optionalDay } from './primitives.ts';
import { memberName, newPassphrase, passphrase } from './household.ts';

/** Somebody who takes an invitation. */
export const joinSchema = yup.object({ memberName, passphrase: newPassphrase });

/** A passphrase of one's own. */
export const ownPassphraseSchema = yup.object({ now: passphrase, own: newPassphrase });

const day = (say: string) => optionalDay(say).required(say);

/** How long anybody is away at a time. */
const MOST_DAYS = 90;
const days = (from: string, until: string): number => (Date.parse(until) - Date.parse(from)) / DAY;

/** Days on which nobody is at home. */
export const awaySchema = yup.object({
  fromDay: day('Choose the first day on which nobody is at home.'),
  untilDay: day('Choose the last day on which nobody is at home.')
    .test('order', 'The last day comes after the first.', (value, { parent }) =>
      value && parent.fromDay ? value >= parent.fromDay : true
    )
    .test('length', `At most ${MOST_DAYS} days at a time.`, (value, { parent }) =>
      value && parent.fromDay ? days(parent.fromDay, value) <= MOST_DAYS : true
    )
});

/** Whoever looks after the trays. */
export const sitterSchema = yup.object({
  id: id().required(),
  name: nameText(40).required('Say who comes by, so that you see what they did.'),
  fromDay: day('Choose their first day.'),
  untilDay: day('Choose their last day.').test(
    'order',
    'Their last day comes after the first.',
    (value, { parent }) => (value && parent.fromDay ? value >= parent.fromDay : true)
  )
});
