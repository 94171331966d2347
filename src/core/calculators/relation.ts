/** A constant of a law: its value, what it is, and the figures that it comes from, as the working shows them. */
export interface Factor {
  value: number;
  kind: 'seed-weight' | 'germination' | 'volume-of-gram' | 'swollen-and-water' | 'ppm' | 'hundredth';
  figures: readonly number[];
}

/**
 * A law between quantities of the form `product of factors x product of (quantity ^ power) = 1`: every calculator of
 * the bench is one, so that any of its quantities can be asked for.
 */
export interface Relation {
  /** Constants of the law. */
  factors: readonly Factor[];
  powers: Readonly<Record<string, 1 | -1>>;
}

/**
 * The value of one quantity from all the others.
 * @throws RangeError where the relation does not have the quantity
 * @returns NaN where another is missing, 0 or not a number
 */
export function solveFor(
  relation: Relation,
  values: Readonly<Record<string, number>>,
  wanted: string
): number {
  const power = relation.powers[wanted];
  if (power === undefined) throw new RangeError(`The relation has no quantity “${wanted}”.`);
  let rest = relation.factors.reduce((product, { value }) => product * value, 1);
  for (const [quantity, exponent] of Object.entries(relation.powers)) {
    if (quantity === wanted) continue;
    const value = values[quantity] ?? NaN;
    if (!(value > 0)) return NaN;
    rest *= exponent === 1 ? value : 1 / value;
  }
  return power === 1 ? 1 / rest : rest;
}

/**
 * Which quantity to work out when a person types: the one they have not typed for longest, so that the
 * last things said stand.
 * @param solvable quantities that may be worked out, the usual answer first
 * @param typed quantities in the order they were last typed, oldest first
 */
export function freeQuantity(solvable: readonly string[], typed: readonly string[]): string {
  return (
    solvable.find((quantity) => !typed.includes(quantity)) ??
    typed.find((quantity) => solvable.includes(quantity))!
  );
}
