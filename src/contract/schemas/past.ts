import * as yup from 'yup';
import { PAST_FIELDS } from '../../core/notebook/pastCsv.ts';
import { number } from './primitives.ts';

const column = number('Choose a column.').integer('Choose a column.').min(-1).max(200).default(-1);

/** A list of past sowings as it is sent: its text, which column says what, and whether it is to be taken now. */
export const pastSchema = yup.object({
  text: yup
    .string()
    .typeError('Choose a file of text.')
    .required('Choose a file: it is empty.')
    .max(1_500_000, 'This file is over 1.5 MB: split it.'),
  by: yup
    .object(Object.fromEntries(PAST_FIELDS.map((field) => [field, column])))
    .nullable()
    .default(null),
  order: yup
    .string()
    .nullable()
    .oneOf(['day-first', 'month-first', null] as const)
    .default(null),
  take: yup.boolean().default(false)
});
