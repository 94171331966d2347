import type { Quantity, ReckonContext, Reckoner } from '$core/reckon/reckoner.ts';
import type { Units } from '$core/units/format.ts';
import { showQuantity, unitOf } from './quantities.ts';

/**
 * How the free quantity came about, with the figures that stand: `2 × 450 cm² × 2.1 /cm² × ... = 19.8 g`.
 */
export function workingOf(
  reckoner: Reckoner,
  context: ReckonContext,
  values: Readonly<Record<string, number>>,
  free: string,
  units: Units
): string {
  const { factor, powers } = reckoner.relation(context, values);
  const quantities = new Map(reckoner.quantities(context).map((one) => [one.key, one]));
  const text = (quantity: Quantity): string =>
    `${showQuantity(values[quantity.key]!, quantity.kind, units)} ${unitOf(quantity.kind, units)}`.trim();
  // The law makes 1: what has the other sign than the free quantity stands above the line.
  const up: string[] = [];
  const down: string[] = [];
  for (const [key, power] of Object.entries(powers)) {
    if (key === free) continue;
    (power !== powers[free] ? up : down).push(text(quantities.get(key)!));
  }
  // The factor is in base units; what the fields show may be other ones.
  const shown = (key: string) => {
    const quantity = quantities.get(key)!;
    const unit = Number(showQuantity(1e6, quantity.kind, units)) / 1e6;
    return unit ** powers[key]!;
  };
  let constant = factor / Object.keys(powers).reduce((product, key) => product * shown(key), 1);
  if (powers[free] === 1) constant = 1 / constant;
  const factors = Math.abs(constant - 1) < 1e-3 ? up : [...up, significant(constant)];
  const result = text(quantities.get(free)!);
  return `${factors.join(' × ')}${down.map((one) => ` ÷ ${one}`).join('')} = ${result}`;
}

const significant = (value: number): string => String(Number(value.toPrecision(3)));
