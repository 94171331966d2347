import type { Forecast } from '../growth/forecast.ts';
import type { Crop } from '../crops/crop.ts';
import { isPromised } from '../growth/suit.ts';
import { wholeYieldG } from '../harvest/expected.ts';
import type { PantryItem } from '../pantry/item.ts';
import { isTurned, keepingDays } from '../pantry/keeping.ts';
import { isPast } from '../pantry/order.ts';
import type { Projected } from '../sowing/project.ts';
import type { Method } from '../supplies/methods/method.ts';
import type { Rhythm } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { mayBeLost } from '../water/dry.ts';
import { dayIndex, type Horizon } from './horizon.ts';

/** Grams of a crop that are expected to have opened by each day, and to have to be eaten by it, being past their days on the next; neither falls. */
export interface Supply {
  /** A blend's is that of all its crops. */
  cropKey: string;
  /** All that it gives, sooner or later. */
  yieldG: number;
  opened: Float64Array;
  gone: Float64Array;
}

/** Shares of a sowing that have opened and are gone at some moments: by the spread of its window and not by its middle alone. */
export interface Curve {
  opened: Float64Array;
  gone: Float64Array;
}

/** Days from a cut until the greens are past. */
export const keepsD = (crop: Crop, method: Method): number =>
  keepingDays(crop, method.washing === 'washed' ? 'washed' : 'unwashed').maxD;

/**
 * When a tray is cut at the latest: one that is cut whole on its best day, one that is cut in strips at its close. From
 * then on it keeps for its days, and its container and place are free.
 */
const lastCutMark = ({ taking }: Pick<Method, 'taking'>): 'windowBest' | 'windowClose' =>
  taking === 'strip' ? 'windowClose' : 'windowBest';

/** When the last of a sowing is cut, as it is expected; Infinity where no window is promised. */
export const lastCutAt = ({ forecast, method }: Pick<Projected, 'forecast' | 'method'>): Millis =>
  forecast.marks[lastCutMark(method)].p50;

/** The thin ends of a spread feed nobody, and cost a solver dearly: so much at either end is left out. */
const END = 0.02;
const trimmed = (share: number): number => Math.min(1, Math.max(0, (share - END) / (1 - 2 * END)));

/** @param at moments, ascending */
export function curveOf(forecast: Forecast, crop: Crop, method: Method, at: readonly Millis[]): Curve {
  const keeps = keepsD(crop, method) * DAY;
  const mark = lastCutMark(method);
  const opened = Float64Array.from(at, (moment) => trimmed(forecast.chance('windowOpen', moment)));
  // What is not good any more a day later has to be eaten by now.
  const gone = Float64Array.from(at, (moment, index) =>
    Math.min(opened[index]!, trimmed(forecast.chance(mark, moment + DAY - keeps)))
  );
  return { opened, gone };
}

/** What each sowing gives over the days it was last asked for: a page that moves one of them asks for all the others again. */
const known = new WeakMap<Projected, { now: Millis; from: Millis; days: number; supply: Supply }>();

/** What a sowing under way or planned is still expected to give, day by day; nothing where no window is promised, once it closed, or where it may be lost. */
export function supplyOf(sowing: Projected, horizon: Horizon, now: Millis): Supply {
  const [from, days] = [horizon.supperAt[0]!, horizon.days];
  const had = known.get(sowing);
  if (had && had.now === now && had.from === from && had.days === days) return had.supply;
  const supply = workedOut(sowing, horizon, now);
  known.set(sowing, { now, from, days, supply });
  return supply;
}

function workedOut(sowing: Projected, horizon: Horizon, now: Millis): Supply {
  const { forecast, crop, method, state } = sowing;
  const curve = curveOf(forecast, crop, method, horizon.supperAt);
  const isOver = mayBeLost(sowing, now) || !isPromised(sowing) || now > forecast.marks.windowClose.p50;
  const left = isOver ? 0 : wholeYieldG(sowing).usual * (1 - state.cutShare);
  return {
    cropKey: crop.key,
    yieldG: left,
    opened: curve.opened.map((share) => share * left),
    gone: curve.gone.map((share) => share * left)
  };
}

/** What an item in the pantry still feeds; null for what was frozen, pressed or dried, and for what is past its days. */
export function pantrySupply(item: PantryItem, horizon: Horizon, rhythm: Rhythm, now: Millis): Supply | null {
  if (item.unit !== 'g' || isTurned(item.packing) || isPast(item, rhythm.zone, now)) return null;
  const last = dayIndex(horizon, rhythm, item.keepsTo);
  const days = Array.from({ length: horizon.days }, (_, day) => day);
  return {
    cropKey: item.crop.key,
    yieldG: item.left,
    opened: Float64Array.from(days, () => item.left),
    gone: Float64Array.from(days, (day) => (day >= last ? item.left : 0))
  };
}
