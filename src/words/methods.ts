import { t, table } from '$messages/t.ts';
import type { Answers, Method, MethodFigure, Question, Spray } from '$core/supplies/methods/method.ts';
import { findMethod } from '$core/supplies/methods/ready.ts';

const READY_NAMES: Readonly<Record<string, string | undefined>> = table('methods.readyName');

/** A method's name: a ready one's in the reader's language, a household's own as it was typed. */
export const methodName = ({ key, name }: Pick<Method, 'key' | 'name'>): string =>
  (findMethod(key)?.name === name ? READY_NAMES[key] : undefined) ?? name;

interface QuestionWords<Q extends Question> {
  ask: string;
  /** Each answer, with what it costs and gains in one line. */
  answers: Record<Answers[Q], { text: string; turns: string }>;
}

/** The questions growers disagree on, in words. No answer is wrong. */
export const QUESTION_WORDS: { [Q in Question]: QuestionWords<Q> } = table('methods.questions');

/** Questions that are thought about together, in the order of the work. */
export const QUESTION_GROUPS: readonly { title: string; questions: readonly Question[] }[] = [
  {
    get title() {
      return t('methods.sowing');
    },
    questions: ['firstWater', 'seedCover', 'pressing', 'mediumDepth', 'disinfect']
  },
  {
    get title() {
      return t('methods.darkLight');
    },
    questions: ['darkness', 'dome', 'sillLight']
  },
  {
    get title() {
      return t('methods.waterFeed');
    },
    questions: ['germinationWater', 'lightWater', 'matWater', 'feed', 'peroxide']
  },
  {
    get title() {
      return t('methods.cut');
    },
    questions: ['leafStage', 'cutting', 'washing', 'taking']
  }
];

/** What a figure of a method is called, by the answer that asks for it. */
export const FIGURE_WORDS: Record<MethodFigure, string> = table('methods.figure');

/** One answer in words. */
export const answerWords = <Q extends Question>(
  question: Q,
  answer: Answers[Q]
): { text: string; turns: string } => (QUESTION_WORDS[question] as QuestionWords<Q>).answers[answer];

/** What a method sprays, in one line. */
export const spraysWords = (sprays: readonly Spray[]): string =>
  sprays.length === 0
    ? t('methods.none')
    : sprays
        .map(({ name, timesADay }) => t('methods.nameOnceDayMorningEvening', { name, timesADay }))
        .join('; ');
