import { allOf } from './lists.ts';
import { t, table } from '$messages/t.ts';
import { VARIETY_BOUNDS } from '$core/ahead/variety.ts';
import type { VarietyPrice } from '$core/ahead/varietyPrice.ts';
import { greensMass, type Units } from '$core/units/format.ts';

const NUMBERS = table('ahead.number');
const numberWord = (n: number): string => NUMBERS[String(n) as keyof typeof NUMBERS] ?? String(n);

const choices = ([least, most]: readonly [number, number], text: (n: number) => string) =>
  Array.from({ length: most - least + 1 }, (_, nth) => ({
    value: least + nth,
    get text() {
      return text(least + nth);
    }
  }));

/** How many crops a week may be wished for. */
export const LEAST_CROPS = choices(VARIETY_BOUNDS.leastCrops, (n) =>
  t('ahead.atLeastN', { n: numberWord(n) })
);

/** How often in a row one crop may be sown. */
export const MOST_IN_ROW = choices(VARIETY_BOUNDS.mostInRow, (n) =>
  t('ahead.neverTwiceRowAtMost', {
    n,
    when: !(n === 1) && n === 2 ? 'yes' : 'no',
    n2: !(n === 1) && !(n === 2) ? numberWord(n) : ''
  })
);

/** In how many weeks a plan has as many crops as are wished for. */
export function cropsInWeeksWords(weeks: readonly (number | null)[], leastCrops: number): string {
  const eaten = weeks.filter((crops) => crops !== null);
  const enough = eaten.filter((crops) => crops >= leastCrops).length;
  const crops = t('ahead.leastcropsCropsOrMore', { leastCrops: numberWord(leastCrops) });
  return enough === eaten.length
    ? t('ahead.youHaveCropsEveryWeek', { crops })
    : t('ahead.youHaveCropsEnoughEaten', { crops, enough, eaten: eaten.length });
}

/** Less than this in all the weeks is nothing, g. */
const LITTLE_G = 10;

/** What the wishes for variety cost. */
export function varietyPriceWords({ missingG, thrownG, sowings }: VarietyPrice, units: Units): string {
  const costs = [
    ...(sowings > 0 ? [t('ahead.oneMoreSowingMoreSowings', { sowings })] : []),
    ...(missingG > LITTLE_G
      ? [t('ahead.aboutGreensmassLessEat', { greensMass: greensMass(missingG, units) })]
      : []),
    ...(thrownG > LITTLE_G
      ? [t('ahead.aboutGreensmassMoreThrownOut', { greensMass: greensMass(thrownG, units) })]
      : [])
  ];
  if (costs.length === 0) return t('ahead.yourWishesVarietyCostNothing');
  return t('ahead.yourWishesVarietyCostCosts', { costs: allOf(costs) });
}
