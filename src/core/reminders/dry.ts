import type { Projected } from '../sowing/project.ts';
import { standingOf, type Standing } from '../sowing/standing.ts';
import { hangsAt, withheld } from '../steps/withhold.ts';
import { nextWaking, roundAt, ROUND_LEAD_H, type Round, type Rhythm } from '../time/rhythm.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import { lacksG, waterAt } from '../water/level.ts';
import type { Candidate } from './candidate.ts';
import { namedOf } from './named.ts';

/** Told so long before seedlings would hang, for somebody to come by. */
const NOTICE_H = 3;
/** Less than this share of what it holds is not worth coming by for. */
const WORTH_SHARE = 0.25;
/** The round that runs has said it already: time to walk it. */
const AFTER_ROUND_H = 2;

/**
 * Trays that may be drying out before anybody comes by again, because a watering was missed or the air is drier than was
 * thought. Once until it is given water or felt; never where the next round comes in time, which then asks for it.
 */
export function dryReminders(projected: readonly Projected[], rhythm: Rhythm, now: Millis): Candidate[] {
  const round = roundAt(rhythm, now);
  const next = round.at > now ? round.at : round.nextAt;
  return standingOf(projected).flatMap((standing): Candidate[] => {
    const dry = standing.sowings.flatMap((sowing) => driesBy(sowing, round, next, now) ?? []);
    if (dry.length === 0) return [];
    const driesAt = Math.min(...dry);
    const told = nextWaking(rhythm, Math.max(driesAt - NOTICE_H * HOUR, round.at + AFTER_ROUND_H * HOUR));
    // By then the next round tells it.
    if (told >= next - HOUR || standing.sowings.every((sowing) => !isWorthIt(sowing, told))) return [];
    return [
      {
        key: `dry:${standing.key}:${lastKnownAt(standing)}`,
        kind: 'trouble',
        dueAt: told,
        until: next,
        body: (moment) => ({
          ...namedOf(standing.sowings),
          type: 'dry',
          driesAt,
          waterMl: standing.sowings.reduce((sum, sowing) => sum + lacksG(waterAt(sowing, moment)), 0)
        })
      }
    ];
  });
}

/** Whether there is room for enough water. */
const isWorthIt = (sowing: Projected, at: Millis): boolean => {
  const level = waterAt(sowing, at);
  return lacksG(level) >= WORTH_SHARE * level.capacityG;
};

/**
 * When a tray's seedlings may begin to hang: by what is expected less one deviation where this round's watering was
 * missed, by what is expected where it was given; null for not before the next round, and where water is kept from it on purpose.
 */
function driesBy(sowing: Projected, round: Round, until: Millis, now: Millis): Millis | null {
  if (withheld(sowing, round)) return null;
  const since = round.at - ROUND_LEAD_H * HOUR;
  const given = sowing.state.water.some((fact) => 'addedG' in fact && fact.at >= since);
  return hangsAt(sowing, now, until, given ? 0 : 1);
}

/** When anybody last gave it water, or told how damp it is. */
const lastKnownAt = ({ sowings }: Standing): Millis =>
  Math.max(
    ...sowings.map(({ state, startAt }) => state.water.reduce((last, { at }) => Math.max(last, at), startAt))
  );
