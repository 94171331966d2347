import type { Look } from './looks.ts';
import { Z80 } from '../stats/normal.ts';
import { CUE_MARKS } from './telling.ts';

/** How many answers other answers to the same cue could contradict, and how many they did. */
export interface Slips {
  answers: number;
  contradicted: number;
}

export const NO_SLIPS: Slips = { answers: 0, contradicted: 0 };

/** The rate of wrong answers assumed of a new household, either way, and how many answers that assumption is worth. */
export const ERRS = 0.03;
const BEFORE = 20;
/** The highest rate that is assumed of anybody (starting figure). */
const MOST = 0.2;

/**
 * How often the answers about a sowing contradict each other. A mark that was passed cannot be unpassed, so for each cue the fewest
 * answers that explain the sequence count as wrong; the first one cannot contradict anything.
 * @param looks in the order of time
 */
export function slipsOf(looks: readonly Look[]): Slips {
  let { answers, contradicted } = NO_SLIPS;
  for (const cue of CUE_MARKS) {
    const said = looks.filter(({ mark }) => mark === cue);
    if (said.length < 2) continue;
    answers += said.length - 1;
    // Reached before all of them: every "not yet" is wrong; then later and later.
    let wrong = said.filter(({ reached }) => !reached).length;
    let fewest = wrong;
    for (const { reached } of said) fewest = Math.min(fewest, (wrong += reached ? 1 : -1));
    contradicted += fewest;
  }
  return { answers, contradicted };
}

export const together = (all: readonly Slips[]): Slips =>
  all.reduce(
    (sum, { answers, contradicted }) => ({
      answers: sum.answers + answers,
      contradicted: sum.contradicted + contradicted
    }),
    NO_SLIPS
  );

/** The household's rate of wrong answers, from how often its answers were contradicted. */
export const errsOf = ({ answers, contradicted }: Slips): number =>
  Math.min(MOST, (ERRS * BEFORE + contradicted) / (BEFORE + answers));

/** Its 90 % point, by the standard deviation of a beta distribution. */
export function errsAtMost(slips: Slips): number {
  const mean = errsOf(slips);
  return Math.min(MOST, mean + Z80 * Math.sqrt((mean * (1 - mean)) / (BEFORE + slips.answers + 1)));
}
