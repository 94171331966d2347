import { VARIETY_BOUNDS } from '$core/ahead/variety.ts';
import type { VarietyPrice } from '$core/ahead/varietyPrice.ts';
import { greensMass, type Units } from '$core/units/format.ts';
import { LIST } from './ahead.ts';

const NUMBERS = ['', 'one', 'two', 'three', 'four', 'five', 'six'];

const choices = ([least, most]: readonly [number, number], text: (n: number) => string) =>
  Array.from({ length: most - least + 1 }, (_, nth) => ({ value: least + nth, text: text(least + nth) }));

/** How many crops a week may be wished for. */
export const LEAST_CROPS = choices(VARIETY_BOUNDS.leastCrops, (n) => `at least ${NUMBERS[n]}`);

/** How often in a row one crop may be sown. */
export const MOST_IN_ROW = choices(VARIETY_BOUNDS.mostInRow, (n) =>
  n === 1 ? 'never twice in a row' : `at most ${n === 2 ? 'twice' : `${NUMBERS[n]} times`} in a row`
);

/** In how many weeks a plan has as many crops as are wished for. */
export function cropsInWeeksWords(weeks: readonly (number | null)[], leastCrops: number): string {
  const eaten = weeks.filter((crops) => crops !== null);
  const enough = eaten.filter((crops) => crops >= leastCrops).length;
  const crops = `${NUMBERS[leastCrops]} crops or more`;
  return enough === eaten.length
    ? `You have ${crops} in every week.`
    : `You have ${crops} in ${enough} of ${eaten.length} weeks.`;
}

/** Less than this in all the weeks is nothing, g. */
const LITTLE_G = 10;

/** What the wishes for variety cost. */
export function varietyPriceWords({ missingG, thrownG, sowings }: VarietyPrice, units: Units): string {
  const costs = [
    ...(sowings > 0 ? [sowings === 1 ? 'one more sowing' : `${sowings} more sowings`] : []),
    ...(missingG > LITTLE_G ? [`about ${greensMass(missingG, units)} less to eat`] : []),
    ...(thrownG > LITTLE_G ? [`about ${greensMass(thrownG, units)} more thrown out`] : [])
  ];
  if (costs.length === 0) return 'Your wishes for variety cost nothing in these weeks.';
  return `Your wishes for variety cost ${LIST.format(costs)} in these weeks.`;
}
