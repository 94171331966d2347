import { USUAL_RATIO_L_KG, type Disinfectant, type Strengths } from './disinfect.ts';

/** How a household disinfects seed: what it chose, and where it has that from. */
export interface DisinfectRule {
  /** Of the solution: ppm for hypochlorite, percent for peroxide. */
  target: number;
  /** Of the product as bought, in percent, read off its label. */
  productPct: number;
  /** Contact time. */
  minutes: number;
  /** Litres of solution to a kg of seed. */
  ratioLKg: number;
  /** Where the rule comes from, in the household's words. */
  source: string;
}

const OURS = 'A starting figure of Brote, not an authority’s';

/** Where a household that chose no rule begins; weak enough for any seed (starting figures). */
export const STARTING_RULES: Record<Disinfectant, DisinfectRule> = {
  hypochlorite: { target: 2000, productPct: 5.25, minutes: 15, ratioLKg: USUAL_RATIO_L_KG, source: OURS },
  peroxide: { target: 3, productPct: 3, minutes: 5, ratioLKg: USUAL_RATIO_L_KG, source: OURS }
};

/** Where a household begins that has a product of its own at hand. */
export const startingRule = (product: Disinfectant, strengths: Strengths): DisinfectRule => ({
  ...STARTING_RULES[product],
  productPct: strengths[product] ?? STARTING_RULES[product].productPct
});
