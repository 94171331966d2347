import type { Problem } from '../problem.ts';
import type { Crop } from '../crops/crop.ts';
import type { UnitKind } from '../units/parseQuantity.ts';
import { freeQuantity, solveFor, type Relation } from './relation.ts';

/** What a quantity is measured in; the last four have one unit each. */
export type QuantityKind =
  UnitKind | 'count' | 'percent' | 'ppm' | 'per-litre' | 'litre-per-kg' | 'litre' | 'area';

export interface Quantity {
  key: string;
  kind: QuantityKind;
  /** What stands there before anything was typed, in the kind's base unit. */
  start: number;
  low: number;
  high: number;
  /** May be worked out from the others. */
  solvable: boolean;
}

/** A line that follows from the quantities, such as spoons beside grams. */
export interface Aside {
  key: string;
  value: number;
  kind: QuantityKind | 'seeds' | 'teaspoons';
}

/** What a calculator knows besides its quantities. */
export interface CalculatorContext {
  crop: Crop;
}

/** One calculator: quantities, the law between them, and what else follows. */
export interface Calculator {
  key: string;
  /** Whether its law holds a crop's figures. */
  ofCrop: boolean;
  quantities(context: CalculatorContext): Quantity[];
  /** @param values those that were given; no quantity of the relation itself may be taken from them */
  relation(context: CalculatorContext, values: Readonly<Record<string, number>>): Relation;
  asides(values: Readonly<Record<string, number>>, context: CalculatorContext): Aside[];
  /** Why these values must not be used; null where they may. */
  refuse(values: Readonly<Record<string, number>>): Problem | null;
  /** Whether what they come to does next to nothing. */
  isWeak?(values: Readonly<Record<string, number>>): boolean;
}

export interface Calculated {
  /** All quantities in base units, the free one worked out. */
  values: Record<string, number>;
  free: string;
  asides: Aside[];
  /** What it comes to does next to nothing. */
  isWeak: boolean;
  /** Quantities that lie outside what they can be. */
  outside: readonly Quantity[];
  /** The free quantity and what it would have to be, where that is outside what it can be; null where it is not. */
  beyond: { quantity: Quantity; value: number } | null;
  /** What is wrong with the whole; null for nothing. */
  refused: Problem | null;
}

/** Bounds hold to within the rounding of a sum. */
const NEAR = 1e-9;

/**
 * Works a calculator out.
 * @param given what was typed, in base units; NaN for what cannot be read
 * @param typed keys in the order they were last typed, oldest first
 */
export function calculate(
  calculator: Calculator,
  context: CalculatorContext,
  given: Readonly<Record<string, number>>,
  typed: readonly string[]
): Calculated {
  const quantities = calculator.quantities(context);
  const solvable = quantities.filter((quantity) => quantity.solvable).map(({ key }) => key);
  const free = freeQuantity(solvable, typed);
  const values: Record<string, number> = {};
  for (const { key, start } of quantities) values[key] = typed.includes(key) ? (given[key] ?? start) : start;
  values[free] = solveFor(calculator.relation(context, values), values, free);
  const outside = quantities.filter(({ key, low, high }) => {
    const value = values[key]!;
    return key !== free && (!Number.isFinite(value) || value < low || value > high);
  });
  const refused = outside.length > 0 ? null : calculator.refuse(values);
  // What is solved for is bounded as what is typed is.
  const quantity = quantities.find(({ key }) => key === free)!;
  const value = values[free];
  const isBeyond = value < quantity.low * (1 - NEAR) || value > quantity.high * (1 + NEAR);
  const beyond = outside.length === 0 && !refused && isBeyond ? { quantity, value } : null;
  if (outside.length > 0 || refused || beyond) values[free] = NaN;
  const isWorked = Number.isFinite(values[free]);
  return {
    values,
    free,
    outside,
    beyond,
    refused,
    asides: isWorked ? calculator.asides(values, context) : [],
    isWeak: isWorked && (calculator.isWeak?.(values) ?? false)
  };
}
