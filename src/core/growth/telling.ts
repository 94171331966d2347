import type { Gaussian } from '../stats/gaussian.ts';
import { errsAtMost, errsOf, NO_SLIPS, type Slips } from './slips.ts';

/** Marks that a person is asked to look for on the round. */
export const CUE_MARKS = ['rooted', 'lightReady', 'windowOpen'] as const;
export type CueMark = (typeof CUE_MARKS)[number];

/** Of one sowing: marks of which something was said, and marks that it went past without. */
export interface Cues {
  told: readonly CueMark[];
  left: readonly CueMark[];
  /** How often its answers contradict each other; never where left out. */
  slips?: Slips;
}

/** In how many sowings each mark was told, and left, in the order of the marks. */
export type CueCounts = readonly (readonly [told: number, left: number])[];

/** How a household tells what it sees. */
export interface Telling {
  /** The chance that it is one who answers, by mark. */
  answers: Readonly<Record<CueMark, number>>;
  /** How far its silences can be relied on where it told in the end: 0 as for anybody, 1 fully. */
  trust: number;
  /** The rate of wrong answers, either way. */
  errs: number;
  /** The 90 % point of that rate. */
  errsAtMost: number;
}

/**
 * What is taken for granted of anybody (docs/model.md, 5), and of who has shown to answer (starting figures): the chance to be
 * one who answers, and for one who does, that a mark that is there is left untouched at a round all the same.
 */
export const ANYBODY = { answers: 0.8, leaves: 0.25 } as const;
export const RELIABLE = { answers: 0.97, leaves: 0.1 } as const;

/** What is taken of anybody weighs as much as so many sowings (starting figure). */
const BEFORE = 2;
/** A household that tells so often is relied on fully (starting figure). */
const SURE_AT = 0.92;

/** What is left untouched by one who answers so often. */
export const leavesOf = (answers: number): number => {
  const share = (answers - ANYBODY.answers) / (RELIABLE.answers - ANYBODY.answers);
  return ANYBODY.leaves + Math.min(1, Math.max(0, share)) * (RELIABLE.leaves - ANYBODY.leaves);
};

/** What was told and left of each cue, of sowings that ended and of others one by one. */
export const countsOf = (sowings: readonly Cues[], ended: CueCounts = []): CueCounts =>
  CUE_MARKS.map((mark, at) => {
    const [told, left] = ended[at] ?? [0, 0];
    return [
      sowings.reduce((sum, one) => sum + Number(one.told.includes(mark)), told),
      sowings.reduce((sum, one) => sum + Number(one.left.includes(mark)), left)
    ];
  });

/** The same without one of the sowings. */
export const countsWithout = (counts: CueCounts, own: Cues): CueCounts =>
  counts.map(([told, left], at) => [
    told - Number(own.told.includes(CUE_MARKS[at]!)),
    left - Number(own.left.includes(CUE_MARKS[at]!))
  ]);

/**
 * How a household tells, by its sowings so far: a later stage that was seen while an earlier cue was left untouched says that
 * it does not tell that one. Somebody who looks only near the cut is relied on there, and not before.
 */
export function tellingOf(counts: CueCounts, slips: Slips = NO_SLIPS): Telling {
  let [sum, weight] = [ANYBODY.answers * BEFORE, BEFORE as number];
  const each = CUE_MARKS.map((mark, at) => {
    const [told, left] = counts[at] ?? [0, 0];
    const answers = (ANYBODY.answers * BEFORE + told) / (BEFORE + told + left);
    sum += told * answers;
    weight += told;
    return [mark, Math.min(RELIABLE.answers, answers)] as const;
  });
  const trust = (sum / weight - ANYBODY.answers) / (SURE_AT - ANYBODY.answers);
  return {
    answers: Object.fromEntries(each) as Record<CueMark, number>,
    trust: Math.min(1, Math.max(0, trust)),
    errs: errsOf(slips),
    errsAtMost: errsAtMost(slips)
  };
}

/**
 * What a sowing says between what it says of anybody and what it says of one to be relied on: their precisions, each weighed.
 * Either may be nothing.
 */
export function relied(anybody: Gaussian | null, reliable: Gaussian | null, trust: number): Gaussian | null {
  const parts = [
    { message: anybody, share: 1 - trust },
    { message: reliable, share: trust }
  ];
  let [precision, pull] = [0, 0];
  for (const { message, share } of parts)
    if (message) {
      precision += share / message.variance;
      pull += (share * message.mean) / message.variance;
    }
  return precision > 0 ? { mean: pull / precision, variance: 1 / precision } : null;
}
