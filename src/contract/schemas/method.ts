import * as yup from 'yup';
import { MEDIA } from '../../core/supplies/media/medium.ts';
import { QUESTIONS, type Answers, type Question } from '../../core/supplies/methods/method.ts';
import { checkRule, HARD_BOUNDS } from '../../core/supplies/seed/disinfect.ts';
import { readNumber } from '../../core/units/parseQuantity.ts';
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

const answers = Object.fromEntries(
  (Object.keys(QUESTIONS) as Question[]).map((question) => [
    question,
    yup
      .string()
      .typeError('Choose one of the answers.')
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
    domeDays: optionalNumber('Enter a number of days, such as 2.')
      .min(0.5, 'Enter at least half a day, such as 2 days.')
      .max(30, 'Enter at most 30 days: no stems stay under a dome for longer.'),
    domeCm: optionalNumber('Enter a height over the rim, such as 2 cm.')
      .min(0, 'Enter a height over the rim, such as 2 cm.')
      .max(15, 'Enter at most 15 cm over the rim.'),
    darkDays: optionalNumber('Enter a number of days, such as 3.')
      .min(0.5, 'Enter at least half a day, such as 3 days.')
      .max(14, 'Enter at most 14 days: seedlings starve in the dark after that.'),
    shadeDays: optionalNumber('Enter a number of days from sowing, such as 3.')
      .min(0.5, 'Enter at least half a day, such as 3 days.')
      .max(21, 'Enter at most 21 days from sowing.'),
    feedMlL: optionalNumber('Give mL to a litre off the bottle, such as 4, or leave it empty.')
      .min(0.05, 'Give mL to a litre off the bottle, such as 4.')
      .max(200, 'Over 200 mL to a litre is no feed: check the bottle.'),
    sprays: spraysSchema,
    disinfectRule: disinfectRuleSchema.required()
  })
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
