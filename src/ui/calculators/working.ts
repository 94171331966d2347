import { t } from '$messages/t.ts';
import type { Quantity, CalculatorContext, Calculator } from '$core/calculators/calculator.ts';
import type { Units } from '$core/units/format.ts';
import { factorWords } from '$words/calculators.ts';
import { baseUnits, showQuantity, shownUnit } from './quantities.ts';

/**
 * How the free quantity came about, with the figures that stand: `2 × 450 cm² × 2.1 /cm² × ... = 19.8 g`.
 */
export function workingOf(
  calculator: Calculator,
  context: CalculatorContext,
  values: Readonly<Record<string, number>>,
  free: string,
  units: Units
): string {
  const { factors, powers } = calculator.relation(context, values);
  const quantities = new Map(calculator.quantities(context).map((one) => [one.key, one]));
  const text = (quantity: Quantity): string =>
    `${showQuantity(values[quantity.key]!, quantity.kind, units)} ${shownUnit(quantity.kind, units)}`.trim();
  // The law makes 1: what has the other sign than the free quantity stands above the line.
  const above = powers[free] === -1;
  const up: string[] = [];
  const down: string[] = [];
  for (const [key, power] of Object.entries(powers))
    if (key !== free) (power !== powers[free] ? up : down).push(text(quantities.get(key)!));
  for (const factor of factors) (above ? up : down).push(factorWords(factor));
  // What is shown in other units than the law's wants their factor said.
  const shown = Object.entries(powers).reduce((product, [key, power]) => {
    const { kind } = quantities.get(key)!;
    return product * baseUnits(kind, shownUnit(kind, units)) ** power;
  }, 1);
  const between = above ? shown : 1 / shown;
  if (Math.abs(between - 1) > 1e-6)
    up.push(t('bench.significantUnits', { significant: significant(between) }));
  return `${up.join(' × ')}${down.map((one) => ` ÷ ${one}`).join('')} = ${text(quantities.get(free)!)}`;
}

const significant = (value: number): string => String(Number(value.toPrecision(3)));
