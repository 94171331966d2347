import { DAY } from '../../time/zone.ts';
import type { Disinfectant } from './disinfect.ts';
import type { DisinfectRule } from './rule.ts';

/** A product to disinfect with, as a household has it. */
export interface Product {
  id: string;
  name: string;
  kind: Disinfectant;
  /** Off its label, percent. */
  strengthPct: number;
  /** `YYYY-MM-DD`: the date on its label, or when it was bought or opened; null where it is not known. */
  datedOn: string | null;
}

/** Hypochlorite older than this may be much weaker than its label says, days (a starting figure). */
export const FADED_AFTER_DAYS = 180;

/**
 * Whether a product may have lost strength: hypochlorite decays in its bottle, and peroxide is judged by its label.
 * @param today `YYYY-MM-DD`
 * @returns false where its date is not known
 */
export const mayHaveFaded = ({ kind, datedOn }: Product, today: string): boolean =>
  kind === 'hypochlorite' &&
  datedOn !== null &&
  Date.parse(today) - Date.parse(datedOn) > FADED_AFTER_DAYS * DAY;

/** A rule that takes a product: its strength is the product's, and its name is said where it is measured out. */
export const ruleWith = (
  rule: DisinfectRule,
  { id, name, strengthPct }: Pick<Product, 'id' | 'name' | 'strengthPct'>
): DisinfectRule => ({ ...rule, productPct: strengthPct, productId: id, productName: name });

/** A rule whose product is not one of the cupboard's: a strength of its own, off some label. */
export function ruleWithout({ productId: _id, productName: _name, ...rule }: DisinfectRule): DisinfectRule {
  return rule;
}

/** The products that may do what a method wants, the newest first: a fresh bottle is taken before an old one. */
export const productsOf = (kind: Disinfectant, products: readonly Product[]): Product[] =>
  products
    .filter((product) => product.kind === kind)
    .sort((a, b) => (b.datedOn ?? '').localeCompare(a.datedOn ?? '') || a.name.localeCompare(b.name));
