import { isCuttable } from './cut.ts';
import type { Projected } from '../sowing/project.ts';
import type { Round } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { askOf, type Ask } from './ask.ts';

export interface Stop {
  projected: Projected;
  ask: Ask;
}

/** Today's walk: every sowing under way in the order given, and what stands above the list. */
export interface Walk {
  round: Round;
  stops: Stop[];
  /** How many stops still ask for something to be done. */
  open: number;
  windowsOpen: Projected[];
  /** Windows expected to open by the same hour tomorrow. */
  opening: Projected[];
  /** Sowings whose preparation starts within a day. */
  toPrepare: Projected[];
}

/**
 * The walk of a round.
 * @param projected the sowings under way, in the order the trays stand
 */
export function walk(projected: readonly Projected[], round: Round, now: Millis): Walk {
  const stops = projected.map((sowing) => ({ projected: sowing, ask: askOf(sowing, round, now) }));
  const grown = projected.filter((sowing) => isCuttable(sowing, now) || sowing.state.stage === 'blackout');
  const opensAt = (sowing: Projected) => sowing.forecast.marks.windowOpen.p50;
  return {
    round,
    stops,
    open: stops.filter(({ ask }) => ask.steps.length > 0).length,
    windowsOpen: grown.filter((sowing) => opensAt(sowing) <= now),
    opening: grown.filter((sowing) => opensAt(sowing) > now && opensAt(sowing) <= now + 1.25 * DAY),
    toPrepare: projected.filter(
      ({ state, soak }) => state.stage === 'prepare' && (soak.soakStart ?? soak.sowAt) < now + DAY
    )
  };
}
