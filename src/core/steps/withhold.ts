import type { Projected } from '../sowing/project.ts';
import type { Round } from '../time/rhythm.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import { trackOf, waterAt } from '../water/level.ts';

/** No water in these hours before a cut, where the tray can stand it (docs/model.md, 6). */
const DRY_BEFORE_CUT_H = 12;
/** Below this share of capacity even a tray about to be cut is watered. */
const WILT_SHARE = 0.2;
/** Below this share seedlings begin to hang; it is not to happen in one of fifty (starting figure). */
const HANG_SHARE = 0.17;
const ONE_IN_FIFTY = 2.054;
/** A tray that loses this share of what it holds between two rounds is at the mercy of a late one. */
const HARDLY_SHARE = 0.8;

/**
 * Water that a tray might want before somebody comes by again, so that seedlings do not hang, in g: by the
 * least that it is likely to hold then.
 */
export function lackingG(projected: Projected, round: Round, now: Millis): number {
  // Of a pool's all as well: it is poured off and given anew at every round, and never stands for a day.
  const { g, capacityG } = waterAt(projected, now);
  const { sdG } = waterAt(projected, round.nextAt);
  const loss = trackOf(projected).lossG(now, round.nextAt);
  return Math.max(0, HANG_SHARE * capacityG + ONE_IN_FIFTY * sdG + loss - g);
}

/** Whether so much goes between two rounds that even a full tray hardly lasts. */
export const hardlyLasts = (projected: Projected, round: Round): boolean =>
  trackOf(projected).lossG(round.at, round.nextAt) > HARDLY_SHARE * trackOf(projected).fullG(round.at);

/** Whether seedlings might hang before somebody comes by again. */
export const mightHang = (projected: Projected, round: Round, now: Millis): boolean =>
  lackingG(projected, round, now) > 0;

/** Whether it may be cut within half a day, or could be already: what may be eaten any hour is not sprayed any more. */
export const isNearCut = ({ forecast }: Projected, round: Round): boolean =>
  forecast.marks.windowOpen.p50 - round.at < DRY_BEFORE_CUT_H * HOUR;

/** Whether water is kept from a tray because it is cut soon and can stand it until the next round (docs/model.md, 6). */
export function withheld(projected: Projected, round: Round): boolean {
  const { method, state, forecast } = projected;
  // What is cut over days is watered all along.
  if (method.taking === 'strip' || state.cuts.length > 0) return false;
  const toCut = forecast.marks.windowOpen.p50 - round.at;
  // It is not cut by then: it is watered again.
  const soonCut = toCut < DRY_BEFORE_CUT_H * HOUR && toCut > -DRY_BEFORE_CUT_H * HOUR;
  const { share, sdG, baseG } = waterAt(projected, round.nextAt);
  // It is to be cut by then: one in six may be a little dry, none is to be dead.
  return soonCut && share > WILT_SHARE && share - sdG / baseG > WILT_SHARE / 2;
}

/** How finely it is looked when seedlings begin to hang. */
const STEP = HOUR;

/**
 * When seedlings may begin to hang between two moments, with nothing given meanwhile; null for not by then.
 * @param deviations how many of them the water is taken to be less than expected
 */
export function hangsAt(projected: Projected, from: Millis, until: Millis, deviations = 1): Millis | null {
  const { state } = projected;
  if (state.sownAt === null || state.stage === 'ended' || waterAt(projected, from).capacityG === 0)
    return null;
  for (let at = from; at < until; at += STEP) {
    const { g, sdG, baseG } = waterAt(projected, at);
    if (g - deviations * sdG < HANG_SHARE * baseG) return at;
  }
  return null;
}
