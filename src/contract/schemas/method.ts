import * as yup from 'yup';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import {
  METHOD_FIGURES,
  QUESTIONS,
  type Answers,
  type Method,
  type MethodFigure,
  type Question
} from '../../core/supplies/methods/method.ts';
import { checkRule, HARD_BOUNDS } from '../../core/supplies/seed/disinfect.ts';
import { readNumber } from '../../core/units/parseQuantity.ts';
import { problem } from '../../core/problem.ts';
import { problemWords } from '../../words/problems.ts';
import { key, nameText, number, optionalNumber, text } from './primitives.ts';

const figure = (what: string, low: number, high: number) =>
  number(`Give the ${what} as a number.`)
    .transform((value: number, typed: unknown) =>
      typeof typed === 'string' ? (readNumber(typed) ?? NaN) : value
    )
    .min(low, `The ${what} must be at least ${low}.`)
    .max(high, `The ${what} must be at most ${high}.`)
    .required(`Give the ${what}.`);

/** A question that is left open, as by a page from before it was asked, has its first answer. */
const answers = Object.fromEntries(
  (Object.keys(QUESTIONS) as Question[]).map((question) => [
    question,
    yup
      .string()
      .typeError('Choose one of the answers.')
      .oneOf([...QUESTIONS[question]], 'Choose one of the answers.')
      .default(QUESTIONS[question][0])
      .required('Choose an answer.')
  ])
);

/** The figures that answers may ask for; null for the one to start from. */
const optionalFigure = (name: MethodFigure) => {
  const [low, high] = METHOD_FIGURES[name].bounds;
  const say = problemWords(problem('method-figure', { low, high }));
  return optionalNumber(say).min(low, say).max(high, say);
};
const figures = {
  domeDays: optionalFigure('domeDays'),
  domeCm: optionalFigure('domeCm'),
  darkDays: optionalFigure('darkDays'),
  shadeDays: optionalFigure('shadeDays')
};

/** How a household disinfects seed. The core refuses strengths past its hard bounds; so does this, first. */
const disinfectRuleSchema = yup.object({
  target: figure('strength', 0.01, HARD_BOUNDS.hypochloritePpm),
  productPct: figure('strength on the label', 0.1, 100),
  minutes: figure('contact time', 1, 60),
  ratioLKg: figure('litres to a kilogram', 1, 50),
  source: text(200, 'Keep the source under 200 letters.').required(
    'Say where this rule comes from: a label, an authority, your own habit.'
  )
});

export const SPRAY_NAME_LETTERS = 40;
export const MOST_SPRAYS = 4;

/** Sprays of a household's own; no two of one name, for each is ticked by its name. */
const spraysSchema = yup
  .array(
    yup.object({
      name: nameText(SPRAY_NAME_LETTERS, `Keep its name under ${SPRAY_NAME_LETTERS} letters.`).required(
        'Say what you spray with, or take the line away.'
      ),
      timesADay: yup.number().oneOf([1, 2], 'Once or twice a day.').required('Once or twice a day.')
    })
  )
  .max(MOST_SPRAYS, `No more than ${MOST_SPRAYS} sprays.`)
  .default([])
  .test('twice', 'Two sprays have the same name: give one another name.', (sprays) => {
    const names = (sprays ?? []).map(({ name }) => name?.trim().toLowerCase());
    return new Set(names).size === names.length;
  });

/** A method as its form sends it. */
export const methodSchema = yup
  .object({
    ...answers,
    key: key('This form is broken: reload the page.').max(60).required(),
    name: nameText(60, 'Keep the name under 60 letters.').required('Give the method a name.'),
    medium: yup.string().oneOf(MEDIA, 'Choose a medium.').required(),
    ...figures,
    feedMlL: optionalNumber('Give mL to a litre off the bottle, such as 4, or leave it empty.')
      .min(0.05, 'Give mL to a litre off the bottle, such as 4.')
      .max(200, 'Over 200 mL to a litre is no feed: check the bottle.'),
    sprays: spraysSchema,
    disinfectRule: disinfectRuleSchema.required()
  })
  // Older pages have no question for the dome: there, giving days meant counting them.
  .transform((value: Partial<Method> | null) =>
    value && value.dome === undefined && (value.domeDays ?? null) !== null
      ? { ...value, dome: 'days' }
      : value
  )
  .test('rule', '', (value, context) => {
    const { disinfect } = (value ?? {}) as unknown as Partial<Answers>;
    if (disinfect !== 'peroxide' && disinfect !== 'hypochlorite') return true;
    // Told at its own fields where it is not there.
    if (!(value as { disinfectRule?: object | null }).disinfectRule) return true;
    const wrong = checkRule(disinfect, value.disinfectRule);
    return wrong
      ? context.createError({ path: `disinfectRule.${wrong.field}`, message: problemWords(wrong.problem) })
      : true;
  });
