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

/** What counts where an answer asks for a figure and nobody gave one (starting figures). */
export const STARTING_FIGURES = { domeDays: 2, domeCm: 2, darkDays: 3, shadeDays: 3 } as const;
export type MethodFigure = keyof typeof STARTING_FIGURES;

/** Between which each figure lies: days, and cm over the rim. */
export const FIGURE_BOUNDS: Readonly<Record<MethodFigure, readonly [low: number, high: number]>> = {
  domeDays: [0.5, 30],
  domeCm: [0, 15],
  darkDays: [0.5, 14],
  shadeDays: [0.5, 21]
};

/** A figure of a method, its own or the one to start from; that as well while what is typed is no number. */
export const figureOf = (method: Pick<Method, MethodFigure>, figure: MethodFigure): number => {
  const own = method[figure];
  return own === null || Number.isNaN(own) ? STARTING_FIGURES[figure] : own;
};

/** Figures that a method's answers ask for and that lie outside of their bounds. */
export const figuresOutside = (method: Method): MethodFigure[] =>
  (Object.keys(FIGURE_BOUNDS) as MethodFigure[]).filter((figure) => {
    const own = method[figure];
    const [low, high] = FIGURE_BOUNDS[figure];
    return FIGURE_ASKED[figure](method) && own !== null && !(own >= low && own <= high);
  });

/** The answers that ask for a figure. */
export const FIGURE_ASKED: Readonly<Record<MethodFigure, (method: Answers) => boolean>> = {
  domeDays: ({ dome }) => dome === 'days',
  domeCm: ({ dome }) => dome === 'rim',
  darkDays: ({ darkness }) => darkness === 'days',
  shadeDays: ({ sillLight }) => sillLight === 'shaded'
};

/** The figures that answers to a question may ask for. */
export const FIGURES_OF: Readonly<Partial<Record<Question, readonly MethodFigure[]>>> = {
  darkness: ['darkDays'],
  dome: ['domeDays', 'domeCm'],
  sillLight: ['shadeDays']
};
