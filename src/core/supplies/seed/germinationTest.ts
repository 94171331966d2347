import { Z80 } from '../../stats/normal.ts';

/** Share of seeds that sprout, with its 80 % range; all in percent. */
export interface GerminationRate {
  pct: number;
  lowPct: number;
  highPct: number;
}

/**
 * What a paper-towel test of `sprouted` of `tested` seeds says, with the Wilson score interval
 * (Wilson 1927, J. Am. Stat. Assoc. 22:209-212), which stays within 0 and 100 for small tests.
 * @throws RangeError for a count that is not whole or out of range.
 */
export function germinationTest(sprouted: number, tested: number): GerminationRate {
  if (
    !Number.isInteger(sprouted) ||
    !Number.isInteger(tested) ||
    tested < 1 ||
    sprouted < 0 ||
    sprouted > tested
  )
    throw new RangeError('Count whole seeds: the sprouted cannot be more than the tested.');
  const share = sprouted / tested;
  const spread = Z80 ** 2 / tested;
  const middle = (share + spread / 2) / (1 + spread);
  const half = (Z80 / (1 + spread)) * Math.sqrt((share * (1 - share)) / tested + spread / (4 * tested));
  return {
    pct: share * 100,
    lowPct: Math.max(0, middle - half) * 100,
    highPct: Math.min(1, middle + half) * 100
  };
}
