import type { Followed } from '../sowing/follow.ts';
import type { Round } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import { askOf } from './ask.ts';
import type { Ask } from './task.ts';

export interface Stop {
  followed: Followed;
  ask: Ask;
}

/** Today's walk: every sowing under way in the order given, and what stands above the list. */
export interface Walk {
  round: Round;
  stops: Stop[];
  /** How many stops still ask for a task. */
  open: number;
  windowsOpen: Followed[];
  /** Windows expected to open by the same hour tomorrow. */
  opening: Followed[];
  /** Sowings whose preparation starts within a day. */
  toPrepare: Followed[];
}

/**
 * The walk of a round.
 * @param followed the sowings under way, in the order the trays stand
 */
export function walk(followed: readonly Followed[], round: Round, now: Millis): Walk {
  const stops = followed.map((sowing) => ({ followed: sowing, ask: askOf(sowing, round, now) }));
  const grown = followed.filter(({ state }) => state.stage === 'light' || state.stage === 'blackout');
  const opensAt = (sowing: Followed) => sowing.forecast.marks.windowOpen.p50;
  return {
    round,
    stops,
    open: stops.filter(({ ask }) => ask.tasks.length > 0).length,
    windowsOpen: grown.filter((sowing) => opensAt(sowing) <= now),
    opening: grown.filter((sowing) => opensAt(sowing) > now && opensAt(sowing) <= now + 1.25 * DAY),
    toPrepare: followed.filter(
      ({ state, soak }) => state.stage === 'prepare' && (soak.soakStart ?? soak.sowAt) < now + DAY
    )
  };
}
