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
  /** What follows once it has rooted: a dark dome, or light at once, or no darkness from the beginning. */
  darkness: ['dome', 'straight', 'none'],
  lightWater: ['below', 'first-above', 'mist'],
  feed: ['none', 'half', 'reservoir', 'reservoir-half'],
  /** Peroxide in the water. */
  peroxide: ['none', 'weak', 'at-sowing'],
  /** Disinfecting the seed; offered, never required. */
  disinfect: ['none', 'hypochlorite', 'peroxide'],
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
  /** Days under the dome; null for as long as the stems take to be even. */
  domeDays: number | null;
  /** Feed off its bottle at full strength, mL to a litre; null while nobody has read it. */
  feedMlL: number | null;
  sprays: readonly Spray[];
  /** How seed is disinfected, where it is. */
  disinfectRule: DisinfectRule;
}
