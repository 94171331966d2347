import { t } from '../../messages/t.ts';
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
import { id, key, nameText, number, optionalNumber, text, type Say } from './primitives.ts';

const figure = (what: Say, low: number, high: number) =>
  number(() => t('errors.giveWhatAsNumber', { what: what() }))
    .transform((value: number, typed: unknown) =>
      typeof typed === 'string' ? (readNumber(typed) ?? NaN) : value
    )
    .min(low, () => t('errors.whatMustBeAtLeast', { what: what(), low }))
    .max(high, () => t('errors.whatMustBeAtMost', { what: what(), high }))
    .required(() => t('errors.giveWhat', { what: what() }));

/** A question that is left open, as by a page from before it was asked, has its first answer. */
const answers = Object.fromEntries(
  (Object.keys(QUESTIONS) as Question[]).map((question) => [
    question,
    yup
      .string()
      .typeError(() => t('errors.chooseOneAnswers'))
      .oneOf([...QUESTIONS[question]], () => t('errors.chooseOneAnswers'))
      .default(QUESTIONS[question][0])
      .required(() => t('errors.chooseAnswer'))
  ])
);

/** The figures that answers may ask for; null for the one to start from. */
const optionalFigure = (name: MethodFigure) => {
  const [low, high] = METHOD_FIGURES[name].bounds;
  const say = () => problemWords(problem('method-figure', { low, high }));
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
  target: figure(() => t('errors.strength'), 0.01, HARD_BOUNDS.hypochloritePpm),
  productPct: figure(() => t('errors.strengthOnLabel'), 0.1, 100),
  minutes: figure(() => t('errors.contactTime'), 1, 60),
  ratioLKg: figure(() => t('errors.litresKilogram'), 1, 50),
  productId: id().optional(),
  productName: nameText(60).optional(),
  source: text(200, () => t('errors.keepSourceUnderLetters')).required(() =>
    t('errors.sayWhereRuleComesFrom')
  )
});

export const SPRAY_NAME_LETTERS = 40;
export const MOST_SPRAYS = 4;

/** Sprays of a household's own; no two of one name, for each is ticked by its name. */
const spraysSchema = yup
  .array(
    yup.object({
      name: nameText(SPRAY_NAME_LETTERS, () =>
        t('errors.keepNameUnderSprayName', { SPRAY_NAME_LETTERS })
      ).required(() => t('errors.sayWhatYouSprayWith')),
      timesADay: yup
        .number()
        .oneOf([1, 2], () => t('errors.onceOrTwiceDay'))
        .required(() => t('errors.onceOrTwiceDay'))
    })
  )
  .max(MOST_SPRAYS, () => t('errors.noMoreThanMostSprays', { MOST_SPRAYS }))
  .default([])
  .test(
    'twice',
    () => t('errors.twoSpraysHaveSameName'),
    (sprays) => {
      const names = (sprays ?? []).map(({ name }) => name?.trim().toLowerCase());
      return new Set(names).size === names.length;
    }
  );

/** A method as its form sends it. */
export const methodSchema = yup
  .object({
    ...answers,
    key: key(() => t('crops.formBrokenReloadPage'))
      .max(60)
      .required(),
    name: nameText(60, () => t('errors.keepNameUnderLetters2')).required(() => t('errors.giveMethodName')),
    medium: yup
      .string()
      .oneOf(MEDIA, () => t('errors.chooseMedium'))
      .required(),
    ...figures,
    feedMlL: optionalNumber(() => t('errors.giveMlLitreOffBottle'))
      .min(0.05, () => t('errors.giveMlLitreOffBottle2'))
      .max(200, () => t('errors.overMlLitreNoFeed')),
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
