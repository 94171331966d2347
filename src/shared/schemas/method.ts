import * as yup from 'yup';
import { MEDIA } from '../../core/medium/medium.ts';
import { QUESTIONS, type Answers, type Question } from '../../core/methods/method.ts';
import { HARD_BOUNDS } from '../../core/prepare/disinfect.ts';

const figure = (what: string, low: number, high: number) =>
  yup
    .number()
    .transform((value: number, typed: unknown) =>
      typeof typed === 'string' ? Number(typed.trim().replace(',', '.')) : value
    )
    .typeError(`Give the ${what} as a number.`)
    .min(low, `The ${what} must be at least ${low}.`)
    .max(high, `The ${what} must be at most ${high}.`)
    .required(`Give the ${what}.`);

const answers = Object.fromEntries(
  (Object.keys(QUESTIONS) as Question[]).map((question) => [
    question,
    yup
      .string()
      .oneOf([...QUESTIONS[question]], 'Choose one of the answers.')
      .required('Choose an answer.')
  ])
);

/** How a household disinfects seed. The core refuses strengths past its hard bounds; so does this, first. */
const disinfectRuleSchema = yup.object({
  target: figure('strength', 0.01, HARD_BOUNDS.hypochloritePpm),
  productPct: figure('strength on the label', 0.1, 100),
  minutes: figure('contact time', 1, 60),
  ratioLKg: figure('litres to a kilogram', 1, 50),
  source: yup
    .string()
    .trim()
    .max(200, 'Keep the source under 200 letters.')
    .required('Say where this rule comes from: a label, an authority, your own habit.')
});

/** A method as its form sends it. */
export const methodSchema = yup
  .object({
    ...answers,
    key: yup
      .string()
      .matches(/^[a-z0-9-]{1,60}$/, 'This form is broken: reload the page.')
      .required(),
    name: yup.string().trim().required('Give the method a name.').max(60, 'Keep the name under 60 letters.'),
    medium: yup.string().oneOf(MEDIA, 'Choose a medium.').required(),
    domeDays: yup
      .number()
      .transform((value: number, typed: unknown) => (typed === '' || typed === null ? null : value))
      .typeError('Give whole days, or leave it empty.')
      .min(0.5, 'Give days, such as 2; or leave it empty for as long as it takes.')
      .max(14, 'No stems stay under a dome for over 14 days.')
      .nullable()
      .default(null),
    disinfectRule: disinfectRuleSchema.required()
  })
  .test('peroxide', '', (value, context) =>
    (value as unknown as Answers | null)?.disinfect === 'peroxide' &&
    value.disinfectRule.target > HARD_BOUNDS.peroxidePercent
      ? context.createError({
          path: 'disinfectRule.target',
          message: `Peroxide is not computed over ${HARD_BOUNDS.peroxidePercent} %: it burns skin and eyes.`
        })
      : true
  );
