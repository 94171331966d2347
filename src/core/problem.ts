import type { UnitKind } from './units/parseQuantity.ts';

/**
 * Everything the core may find wrong with what somebody gave it, with what is to be said of it. The core says none of it
 * in words: those stand in `src/words/problems.ts`, which does not compile without one of these.
 */
export interface Problems {
  // Typed quantities
  'no-quantity': { kind: UnitKind };
  'either-number': { typed: string; whole: string; decimal: string };
  'no-number': Record<never, never>;
  'no-area': Record<never, never>;
  'figure-outside': { label: string; low: number; high: number };
  'under-nothing': { kind: UnitKind };
  'no-unit': { typed: string; known: readonly string[] };
  // Containers
  'size-out-of-bounds': { of: 'length' | 'diameter' | 'width' | 'depth'; low: number; high: number };
  'cells-out-of-bounds': { low: number; high: number };
  // A sowing that is chosen
  'no-crop': Record<never, never>;
  'crop-twice': Record<never, never>;
  'parts-of-kind': Record<never, never>;
  'no-share': { high: number };
  'lot-gone': Record<never, never>;
  'lot-dead': Record<never, never>;
  'name-of-another': { name: string };
  'count-outside': { low: number; high: number };
  'medium-gone': Record<never, never>;
  'method-gone': Record<never, never>;
  'no-place': Record<never, never>;
  'place-gone': Record<never, never>;
  'place-dark': { name: string };
  'density-outside': { high: number };
  'seed-outside': { kg: number };
  'germination-none': Record<never, never>;
  'germination-outside': Record<never, never>;
  'method-figure': { low: number; high: number };
  'soak-outside': { high: number };
  'stack-outside': { high: number };
  'stack-too-high': Record<never, never>;
  'no-day': Record<never, never>;
  'no-such-day': Record<never, never>;
  'day-passed': Record<never, never>;
  'day-too-near': Record<never, never>;
  // Disinfecting
  'hypochlorite-too-strong': { ppm: number };
  'peroxide-too-strong': { percent: number };
  'product-too-weak': Record<never, never>;
  'stock-too-weak': Record<never, never>;
  'over-all-of-it': Record<never, never>;
  'no-seed-to-treat': Record<never, never>;
  // Weights
  'bowl-not-weighed': Record<never, never>;
  'tare-under-nothing': Record<never, never>;
  'share-not-chosen': Record<never, never>;
  'bowl-too-light': Record<never, never>;
  'cut-given-up': Record<never, never>;
  'cut-ended': Record<never, never>;
  'cut-not-sown': Record<never, never>;
  'cut-more-than-stands': { share: number };
  'cut-before': { pieces: number };
  'cut-no-regrowth': { crop: string };
  // The pantry
  'item-gone': Record<never, never>;
  'item-holds-less': { left: number; unit: 'g' | 'mL' };
  'made-more': { made: number; of: number };
  'tray-too-light': Record<never, never>;
  'tray-too-heavy': { times: number };
  // Readings
  'reading-no-number': Record<never, never>;
  'reading-ahead': Record<never, never>;
  'reading-old': Record<never, never>;
  'reading-temperature': { tempC: number; low: number; high: number };
  'reading-humidity': { humidityPct: number; low: number; high: number };
  'line-unread': Record<never, never>;
  'line-no-temperature': Record<never, never>;
  'line-no-time': { typed: string; precision: string };
  'time-unread': { typed: string; tooManyColumns: boolean };
  'temperature-unread': { typed: string };
  'humidity-unread': { typed: string };
  'too-many-columns': Record<never, never>;
  'file-no-text': Record<never, never>;
  'file-no-header': Record<never, never>;
  'file-no-columns': { names: readonly string[] };
  'file-day-or-month': { typed: string };
  // Past sowings
  'past-too-many': { lines: number; most: number };
  'past-no-header': Record<never, never>;
  'past-no-columns': { names: readonly string[] };
  'past-no-crop': { typed: string };
  'past-not-sown': Record<never, never>;
  'past-day-unread': { typed: string };
  'past-day-cannot-be': { typed: string };
  'past-too-much': { typed: string };
  'past-no-count': { typed: string };
  'past-no-number': { typed: string };
  'past-no-end': Record<never, never>;
  'past-cut-no-day': Record<never, never>;
}

export type ProblemKind = keyof Problems;

/** Something that is wrong, with what is to be said of it. */
export type Problem = { [K in ProblemKind]: { code: K; params: Problems[K] } }[ProblemKind];

/** A problem of a kind. */
export const problem = <K extends ProblemKind>(
  code: K,
  ...[params]: Record<never, never> extends Problems[K] ? [] : [Problems[K]]
): Problem => ({ code, params: params ?? {} }) as Problem;

/** Thrown where a figure cannot be worked out for what was given. */
export class Unworkable extends RangeError {
  override readonly name = 'Unworkable';
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}
