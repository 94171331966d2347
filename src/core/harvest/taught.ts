import { cutAtShare } from '../growth/yield.ts';
import { yieldMessage } from '../growth/yieldLearned.ts';
import type { Projected } from '../sowing/project.ts';
import { cutG } from '../sowing/totals.ts';
import type { Gaussian } from '../stats/gaussian.ts';
import { wholeYieldG } from './expected.ts';

/**
 * What a sowing that was cut says of its household's yields: what its first growth gave against what was expected of the
 * shares that were cut, each at its time. Null for one that still stands, was lost, was cut when nothing is promised, or grew in
 * nobody knows what.
 * @param sowing as one of a new household, so that nothing learned is learned twice
 */
export function yieldTaught(sowing: Projected): Gaussian | null {
  const { state, forecast, firstGrowth } = sowing;
  const cuts = state.cuts.filter(({ growth }) => growth === 0);
  if (sowing.setup.assumed?.includes('container')) return null;
  if (state.lost !== null || cuts.length === 0 || (state.stage !== 'ended' && state.growth === 0))
    return null;
  const grown = firstGrowth ?? forecast;
  const whole = firstGrowth
    ? wholeYieldG({ ...sowing, forecast: firstGrowth, state: { ...state, growth: 0 } })
    : wholeYieldG(sowing);
  const shares = cuts.map(({ share, at }) => share * cutAtShare(grown, at));
  if (shares.some((share) => share <= 0)) return null;
  const gaveG = cutG({ cuts });
  const expectedG = whole.usual * shares.reduce((sum, share) => sum + share, 0);
  return gaveG > 0 && expectedG > 0 ? yieldMessage(gaveG, expectedG) : null;
}
