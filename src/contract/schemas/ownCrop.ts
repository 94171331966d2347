import * as yup from 'yup';
import { text } from './primitives.ts';

const words = (most: number) => text(most).default('');
const of = <T extends string>(...answers: T[]) =>
  yup
    .string()
    .typeError('Choose one of the answers.')
    .oneOf(answers, 'Choose one of the answers.')
    .required('Choose one of the answers.');
const yesNo = yup
  .boolean()
  .transform((_value, typed: unknown) => typed === 'yes' || typed === true)
  .required();

/** The words of an own crop; its figures are checked by the core. */
export const ownCropWordsSchema = yup.object({
  name: words(60).required('Give the crop a name.'),
  botanicalName: words(80),
  family: words(60),
  note: words(300),
  gelSeed: yesNo,
  cover: of('none', 'thin', 'full'),
  disinfect: of('no', 'optional', 'advised'),
  germinationLight: of('dark', 'light', 'either'),
  harvestCue: of('cotyledon', 'true-leaf', 'height', 'tips'),
  mouldRisk: of('low', 'medium', 'high'),
  droughtRisk: of('low', 'medium', 'high'),
  regrows: yesNo
});
