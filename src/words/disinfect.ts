import { STARTING_SOURCE, type DisinfectRule } from '$core/supplies/seed/rule.ts';
import { cropsInText } from './cropNames.ts';
import { allOf } from './lists.ts';
import { strengthPercent } from './percent.ts';
import { t, table } from '$messages/t.ts';
import { FADED_AFTER_DAYS, type Product } from '$core/supplies/seed/product.ts';
import { DISINFECTANTS, WEAK_BOUNDS, type Disinfectant } from '$core/supplies/seed/disinfect.ts';

/** Where a rule comes from: in the reader's language where it is a starting figure, else as it was typed. */
export const ruleSource = ({ source }: Pick<DisinfectRule, 'source'>): string =>
  source === STARTING_SOURCE ? t('methods.startingRuleSource') : source;

/** What each kind of product is called. */
export const PRODUCT_WORDS: Record<Disinfectant, string> = table('bench.product');
export const productOptions = () => DISINFECTANTS.map((value) => ({ value, text: PRODUCT_WORDS[value] }));

/** A product of the cupboard to choose from. */
export const productWords = ({ name, strengthPct }: Product): string =>
  `${name}, ${strengthPercent(strengthPct)}`;

/** Why a product cannot have this strength. */
export const tooWeakWords = (methods: readonly string[]): string =>
  t('bench.methodsAsksAskStrongerSolution', {
    methods: allOf(methods.map((name) => `“${name}”`)),
    methods2: methods.length
  });

/** That hypochlorite may be weaker than its label says. */
export const FADED_WORDS = () => t('bench.overFadedAfterDaysDays', { FADED_AFTER_DAYS });

/** What is said of a solution that does next to nothing. */
export const WEAK_WORDS: Record<Disinfectant, string> = {
  get hypochlorite() {
    return t('bench.hypochloriteUnderHypochloriteppmPpmDoes', {
      hypochloritePpm: WEAK_BOUNDS.hypochloritePpm
    });
  },
  get peroxide() {
    return t('bench.peroxideUnderPeroxidepercentDoesNext', { peroxidePercent: WEAK_BOUNDS.peroxidePercent });
  }
};

/** That disinfecting is advised for some seed and left out; empty for none. */
export const advisedWords = (names: readonly string[]): string =>
  names.length === 0 ? '' : t('bench.disinfectingAdvisedNamesRoughSeed', { names: cropsInText(names) });
