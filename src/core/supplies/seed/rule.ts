import { USUAL_RATIO_L_KG, type Disinfectant, type Strengths } from './disinfect.ts';
import { productsOf, ruleWith, type Product } from './product.ts';

/** How a household disinfects seed: what it chose, and where it has that from. */
export interface DisinfectRule {
  /** Of the solution: ppm for hypochlorite, percent for peroxide. */
  target: number;
  /** Of the product as bought, in percent, read off its label. */
  productPct: number;
  /** The product of the cupboard that it takes, and its name as it was then; not there where a strength was typed. */
  productId?: string;
  productName?: string;
  /** Contact time. */
  minutes: number;
  /** Litres of solution to a kg of seed. */
  ratioLKg: number;
  /** Where the rule comes from, in the household's words. */
  source: string;
}

/** The source of a rule that nobody chose yet, as it is stored; worded in the reader's language. */
export const STARTING_SOURCE = 'A starting figure of Brote, not an authority’s';

/** Where a household that chose no rule begins; weak enough for any seed (starting figures). */
export const STARTING_RULES: Record<Disinfectant, DisinfectRule> = {
  hypochlorite: {
    target: 2000,
    productPct: 5.25,
    minutes: 15,
    ratioLKg: USUAL_RATIO_L_KG,
    source: STARTING_SOURCE
  },
  peroxide: { target: 3, productPct: 3, minutes: 5, ratioLKg: USUAL_RATIO_L_KG, source: STARTING_SOURCE }
};

/** Where a household begins: with its newest product of the kind, else at the strength that it last typed. */
export function startingRule(
  kind: Disinfectant,
  products: readonly Product[],
  strengths: Strengths
): DisinfectRule {
  const [newest] = productsOf(kind, products);
  const rule = STARTING_RULES[kind];
  return newest ? ruleWith(rule, newest) : { ...rule, productPct: strengths[kind] ?? rule.productPct };
}
