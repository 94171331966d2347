import { t } from '../../messages/t.ts';
import * as yup from 'yup';
import { FIGURE_KEYS, FIGURES, type FigureKey } from '../../core/crops/figures.ts';
import { nameText } from './primitives.ts';

const words = (most: number) => nameText(most).default('');
/** A figure that has only some answers, or is yes or no, as its form sends it. */
const answerOf = (key: FigureKey): yup.AnySchema => {
  const figure = FIGURES[key];
  if (figure.kind === 'one-of')
    return yup
      .string()
      .typeError(() => t('errors.chooseOneAnswers'))
      .oneOf([...figure.answers], () => t('errors.chooseOneAnswers'))
      .required(() => t('errors.chooseOneAnswers'));
  return yup
    .boolean()
    .transform((_value, typed: unknown) => typed === 'yes' || typed === true)
    .required();
};

/** What of an own crop is not a number: its names, and every figure with answers. The core checks the numbers. */
export const ownCropWordsSchema = yup.object({
  name: words(60).required(() => t('crops.giveCropName')),
  botanicalName: words(80),
  family: words(60),
  note: words(300),
  ...Object.fromEntries(
    FIGURE_KEYS.filter((key) => FIGURES[key].kind !== 'number').map((key) => [key, answerOf(key)])
  )
});
