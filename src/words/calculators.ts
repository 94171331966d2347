import { t, table } from '$messages/t.ts';
import type { Factor } from '$core/calculators/relation.ts';

interface CalculatorWords {
  name: string;
  aside?: Readonly<Record<string, string>>;
}
const WORDS: Readonly<Record<string, CalculatorWords | undefined>> = table('bench.calculator');

/** A calculator's name. @param key of one that there is */
export const calculatorName = (key: string): string => WORDS[key]?.name ?? '';

/** What a quantity of a calculator is called. */
export const quantityName = (calculator: string, key: string): string =>
  (WORDS[calculator] as unknown as Record<string, string> | undefined)?.[key] ?? '';

/** What is called that also follows in a calculator. */
export const asideName = (calculator: string, key: string): string => WORDS[calculator]?.aside?.[key] ?? '';

const significant = (value: number | undefined): string =>
  value === undefined ? '' : String(Number(value.toPrecision(3)));

/** A constant of a law, as the working shows it. */
export function factorWords({ kind, figures: [first, second] }: Factor): string {
  switch (kind) {
    case 'seed-weight':
      return t('bench.factor.seed-weight', { first: significant(first) });
    case 'germination':
      return t('bench.factor.germination', { first: significant(first) });
    case 'volume-of-gram':
      return t('bench.factor.volume-of-gram', { first: significant(first) });
    case 'swollen-and-water':
      return t('bench.factor.swollen-and-water', { first: significant(first), second: significant(second) });
    case 'ppm':
      return t('bench.factor.ppm');
    case 'hundredth':
      return t('bench.factor.hundredth');
  }
}
