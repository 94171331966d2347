import { standsAt } from '../growth/forecast.ts';
import { crowdOf, cutAtShare, heatFactor, standYieldG, type UsualYield } from '../growth/yield.ts';
import { airAt, usualAir } from '../places/air/airAt.ts';
import type { Projected } from '../sowing/project.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';

/** A stand that grows again from its stubs gives so much of what its first growth did (starting figure). */
const AGAIN_FACTOR = 0.6;
/** How often a day's warmth is looked up. */
const SAMPLE = 3 * HOUR;
/** Longer than any crop stands; a day that never comes has no warmth. */
const MOST_D = 90;

const wholes = new WeakMap<Projected, UsualYield>();

/**
 * What all of a sowing is expected to give in its window, g: by density, by the heat it stands in, and by what this household
 * gets of it (docs/model.md, 11).
 */
export function wholeYieldG(sowing: Projected): UsualYield {
  let whole = wholes.get(sowing);
  if (!whole) wholes.set(sowing, (whole = workedOut(sowing)));
  return whole;
}

function workedOut(sowing: Projected): UsualYield {
  const { crop, areaCm2, setup, yields, state } = sowing;
  const { low, usual, high } = standYieldG(crop, areaCm2, {
    crowd: crowdOf(crop, areaCm2, setup),
    heat: heatOf(sowing),
    factor: yields
  });
  const again = state.growth > 0 ? AGAIN_FACTOR : 1;
  return { low: low * again, usual: usual * again, high: high * again };
}

/** What heat leaves of its yield: the mean of its days until its window opens. */
export function heatOf(sowing: Projected): number {
  const { crop, stays, carriedTo, startAt, state, forecast } = sowing;
  const places = [...stays.map(({ place }) => place), ...(carriedTo ? [carriedTo] : [])];
  if (places.every((place) => !place.air && usualAir(place).tempC <= crop.keepBelowC)) return 1;
  const end = Math.min(forecast.marks.windowOpen.p50, state.endedAt ?? Infinity, startAt + MOST_D * DAY);
  let [sum, days] = [0, 0];
  for (let day = startAt; day < end; day += DAY) {
    let warmth = 0;
    for (let at = day; at < day + DAY; at += SAMPLE) warmth += airAt(standsAt(sowing, at), at).tempC;
    sum += heatFactor(crop, (warmth * SAMPLE) / DAY);
    days += 1;
  }
  return days > 0 ? sum / days : 1;
}

/**
 * What still stands of a sowing gives if it is cut at a moment, g, also where it is only planned; nothing is promised outside
 * of its window and what leads to it.
 */
export function givesAtG(sowing: Projected, at: Millis): UsualYield {
  const { state, forecast } = sowing;
  const share = state.stage === 'ended' ? 0 : cutAtShare(forecast, at) * (1 - state.cutShare);
  const { low, usual, high } = wholeYieldG(sowing);
  return { low: low * share, usual: usual * share, high: high * share };
}

/** The same of what stands: what is not sown yet gives nothing. */
export const expectedAtG = (sowing: Projected, at: Millis): UsualYield =>
  sowing.state.sownAt === null ? { low: 0, usual: 0, high: 0 } : givesAtG(sowing, at);
