import { LEAF_STAGES } from '../../crops/leafStage.ts';
import type { MediumKind } from '../media/medium.ts';
import type { DisinfectRule } from '../seed/rule.ts';

/**
 * The questions growers disagree on, each with the answers they give. The first answer of each is what a
 * method says that leaves the question open.
 */
export const QUESTIONS = {
  /** How the covered medium is kept damp. */
  germinationWater: ['shut', 'daily', 'twice'],
  /** When the medium gets its first water. */
  firstWater: ['before-seed', 'after-seed', 'from-below'],
  /** What lies on the seed of a crop that may be covered. */
  seedCover: ['bare', 'medium', 'vermiculite'],
  /** What presses on the seed: while it roots, or only for a day or two once it has. */
  pressing: ['weight', 'stacked', 'late', 'none'],
  /** What follows once it has rooted: a dark dome, or light at once; or no darkness from the beginning, or so many days of it. */
  darkness: ['dome', 'straight', 'none', 'days'],
  /** When a dome comes off: by the look of the stems, after so many days, or once they stand so high over the rim. */
  dome: ['even', 'days', 'rim'],
  /** On a sill: in the sun as soon as it comes to light, or shaded until a day. */
  sillLight: ['at-once', 'shaded'],
  lightWater: ['below', 'first-above', 'mist'],
  /** Mats: watered as they dry, or lifted, poured through and drained once or twice a day. */
  matWater: ['as-dry', 'poured-once', 'poured-twice'],
  /** How deep a loose medium is filled in. */
  mediumDepth: ['usual', 'thin', 'deep'],
  feed: ['none', 'half', 'reservoir', 'reservoir-half'],
  /** Peroxide in the water. */
  peroxide: ['none', 'weak', 'at-sowing'],
  /** Disinfecting the seed; offered, never required. */
  disinfect: ['none', 'hypochlorite', 'peroxide'],
  /** The stage of its leaves that it is cut at. */
  leafStage: ['usual', ...LEAF_STAGES],
  cutting: ['scissors', 'knife'],
  washing: ['unwashed', 'washed'],
  taking: ['whole', 'strip']
} as const;

export type Question = keyof typeof QUESTIONS;
export type Answers = { [Q in Question]: (typeof QUESTIONS)[Q][number] };

/** Something of a household's own that it sprays on what stands in light, and how often. */
export interface Spray {
  name: string;
  /** At the first round of the day, or morning and evening. */
  timesADay: 1 | 2;
}

/** One answer to each question growers disagree on; none is wrong. */
export interface Method extends Answers {
  key: string;
  name: string;
  /** What it is usually grown on; a sowing may differ. */
  medium: MediumKind;
  /** Days under the dome, where they are counted; null for the starting figure. */
  domeDays: number | null;
  /** How far stems stand over the rim before the dome comes off, where it goes by that, cm; null for the starting figure. */
  domeCm: number | null;
  /** Days in the dark from sowing on, where they are counted; null for the starting figure. */
  darkDays: number | null;
  /** Days from sowing on until a sill's shade comes off, where there is one; null for the starting figure. */
  shadeDays: number | null;
  /** Feed off its bottle at full strength, mL to a litre; null while nobody has read it. */
  feedMlL: number | null;
  sprays: readonly Spray[];
  /** How seed is disinfected, where it is. */
  disinfectRule: DisinfectRule;
}

/** Figures that an answer asks for: where they start (starting figures) and between which they lie; days, and cm over the rim. */
export const METHOD_FIGURES = {
  darkDays: { question: 'darkness', answer: 'days', start: 3, bounds: [0.5, 14] },
  domeDays: { question: 'dome', answer: 'days', start: 2, bounds: [0.5, 30] },
  domeCm: { question: 'dome', answer: 'rim', start: 2, bounds: [0, 15] },
  shadeDays: { question: 'sillLight', answer: 'shaded', start: 3, bounds: [0.5, 21] }
} as const satisfies Record<
  string,
  { question: Question; answer: string; start: number; bounds: readonly [low: number, high: number] }
>;
export type MethodFigure = keyof typeof METHOD_FIGURES;

/** A figure of a method, its own or the one to start from; that as well while what is typed is no number. */
export const figureOf = (method: Pick<Method, MethodFigure>, figure: MethodFigure): number => {
  const own = method[figure];
  return own === null || Number.isNaN(own) ? METHOD_FIGURES[figure].start : own;
};

/** The figure that the answer to a question asks for; null where it asks for none. */
export const figureAsked = (method: Answers, question: Question): MethodFigure | null =>
  (Object.keys(METHOD_FIGURES) as MethodFigure[]).find((figure) => {
    const of = METHOD_FIGURES[figure];
    return of.question === question && of.answer === method[question];
  }) ?? null;

/** Figures that a method's answers ask for and that lie outside of their bounds. */
export const figuresOutside = (method: Method): MethodFigure[] =>
  (Object.keys(METHOD_FIGURES) as MethodFigure[]).filter((figure) => {
    const { question, bounds } = METHOD_FIGURES[figure];
    const own = method[figure];
    return (
      figureAsked(method, question) === figure && own !== null && !(own >= bounds[0] && own <= bounds[1])
    );
  });
