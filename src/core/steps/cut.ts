import { givesAtG } from '../harvest/expected.ts';
import type { Projected } from '../sowing/project.ts';
import { stageAt } from '../sowing/stage.ts';
import { mayBeLost } from '../water/dry.ts';
import type { Millis } from '../time/zone.ts';
import type { BodyOf } from './step.ts';

/** The chance from which a tray that was seen open is called ready, for answers may be wrong (starting figure). */
const SURE = 0.97;

/** Whether the last check for the opening found it open. */
const isSeenOpen = ({ looks }: Projected['state']): boolean =>
  looks.findLast(({ mark }) => mark === 'windowOpen')?.reached ?? false;

/** Cutting what stands of it at a moment. */
export function cutStep(sowing: Projected, at: Millis): BodyOf<'cut'> {
  const { method, forecast, state } = sowing;
  const closesAt = forecast.marks.windowClose.p50;
  return {
    kind: 'cut',
    tool: method.cutting,
    taking: method.taking,
    expectedG: givesAtG(sowing, at).usual,
    cutShare: state.cutShare,
    closesAt,
    past: at > closesAt,
    seen: isSeenOpen(state),
    sure: isSeenOpen(state) && forecast.careful('windowOpen', at) >= SURE
  };
}

/** Whether it stands so that it could be cut: in light, or uncovered where it stays dark to the end; never what may be dead. */
export const isCuttable = (sowing: Projected, now: Millis): boolean => {
  const stage = stageAt(sowing, now);
  const stands = stage === 'light' || (stage === 'blackout' && sowing.path.lightFrom === null);
  return stands && !mayBeLost(sowing, now);
};
