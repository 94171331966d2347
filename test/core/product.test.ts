import { expect } from 'chai';
import { startingRule, STARTING_RULES } from '../../src/core/supplies/seed/rule.ts';
import {
  FADED_AFTER_DAYS,
  mayHaveFaded,
  productsOf,
  ruleWith,
  ruleWithout,
  type Product
} from '../../src/core/supplies/seed/product.ts';

const product = (more: Partial<Product> = {}): Product => ({
  id: 'a',
  name: 'Bleach under the sink',
  kind: 'hypochlorite',
  strengthPct: 4.5,
  datedOn: '2026-01-01',
  ...more
});
const dayAfter = (days: number) =>
  new Date(Date.parse('2026-01-01') + days * 86_400_000).toISOString().slice(0, 10);

describe('products to disinfect with', () => {
  it('warns of hypochlorite once it is old, and not on the last day before', () => {
    expect(mayHaveFaded(product(), dayAfter(FADED_AFTER_DAYS))).to.equal(false);
    expect(mayHaveFaded(product(), dayAfter(FADED_AFTER_DAYS + 1))).to.equal(true);
  });

  it('says nothing of a bottle without a date, nor of peroxide', () => {
    expect(mayHaveFaded(product({ datedOn: null }), '2030-01-01')).to.equal(false);
    expect(mayHaveFaded(product({ kind: 'peroxide' }), '2030-01-01')).to.equal(false);
  });

  it('takes the strength and the name of the product into the rule, and lets both go again', () => {
    const rule = ruleWith(STARTING_RULES.hypochlorite, product());
    expect(rule).to.include({ productPct: 4.5, productId: 'a', productName: 'Bleach under the sink' });
    expect(ruleWithout(rule)).to.deep.equal({ ...STARTING_RULES.hypochlorite, productPct: 4.5 });
  });

  it('offers the products of its kind, the newest first and those without a date last', () => {
    const products = [
      product({ id: 'old', datedOn: '2025-01-01' }),
      product({ id: 'undated', datedOn: null }),
      product({ id: 'other', kind: 'peroxide' }),
      product({ id: 'new', datedOn: '2026-06-01' })
    ];
    expect(productsOf('hypochlorite', products).map(({ id }) => id)).to.deep.equal(['new', 'old', 'undated']);
  });

  it('starts a rule with the newest product, else with the strength last typed', () => {
    expect(startingRule('hypochlorite', [product()], { hypochlorite: 2 })).to.include({
      productPct: 4.5,
      productId: 'a'
    });
    expect(startingRule('hypochlorite', [], { hypochlorite: 2 }).productPct).to.equal(2);
    expect(startingRule('hypochlorite', [product({ kind: 'peroxide' })], {})).to.deep.equal(
      STARTING_RULES.hypochlorite
    );
  });
});
