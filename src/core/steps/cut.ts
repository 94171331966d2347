import { usualYieldG } from '../growth/yield.ts';
import type { Projected } from '../sowing/project.ts';
import { stageAt } from '../sowing/stage.ts';
import type { Millis } from '../time/zone.ts';
import type { BodyOf } from './step.ts';

/** Cutting what stands of it. */
export const cutStep = ({ crop, method, areaCm2, forecast, state }: Projected): BodyOf<'cut'> => ({
  kind: 'cut',
  tool: method.cutting,
  taking: method.taking,
  expectedG: usualYieldG(crop, areaCm2).usual * (1 - state.cutShare),
  cutShare: state.cutShare,
  closesAt: forecast.marks.windowClose.p50
});

/** Whether it stands so that it could be cut: in light, or uncovered where it stays dark to the end. */
export const isCuttable = (sowing: Projected, now: Millis): boolean => {
  const stage = stageAt(sowing, now);
  return stage === 'light' || (stage === 'blackout' && sowing.path.lightFrom === null);
};
