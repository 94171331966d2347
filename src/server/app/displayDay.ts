import { bodyOfWalk } from '../../core/reminders/rounds.ts';
import { goThroughInSteps } from '../../core/steps/ahead.ts';
import { walk, type Stop } from '../../core/steps/walk.ts';
import { roundAt } from '../../core/time/rhythm.ts';
import { zoneOf } from '../../core/time/zone.ts';
import { stepCaution } from '../../words/cautions.ts';
import { containersWords } from '../../words/containers.ts';
import { reminderWords } from '../../words/reminders.ts';
import { cardWords } from '../../words/steps/steps.ts';
import { clockTime, dayAndTimeAlone, roundName, shortDate } from '../../words/time.ts';
import { windowOf, windowWords } from '../../words/window.ts';
import type { InTransaction } from '../db/connection.ts';
import { Breath } from '../requests/breath.ts';
import { shownStop, type ShownStop } from './shownStop.ts';
import { readStanding, workOutStanding, type HouseholdStanding } from './householdStanding.ts';

/** A tray that needs something in this round, in words. */
export interface DisplayStop extends ShownStop {
  where: string;
  window: string;
  steps: string[];
}

/** What a display on the wall shows: this round, and the rounds until the end of tomorrow. */
export interface DisplayDay {
  household: string;
  date: string;
  time: string;
  round: string;
  stops: DisplayStop[];
  /** Each once, however many trays need it. */
  cautions: string[];
  ahead: { when: string; lines: string[] }[];
}

/** What the display of a household shows now. No connection is held while it is worked out. */
export async function displayDay(inTx: InTransaction): Promise<DisplayDay> {
  const standing = await workOutStanding(await inTx((tx) => readStanding(tx, { orders: false })));
  const { household, facts, projected, reminding, now } = standing;
  const round = roundAt(facts.rhythm, now);
  const today = walk(projected, round, now);
  const zone = zoneOf(household.zone);
  const tomorrowEnds = zone.at(zone.date(now).add({ days: 2 }), 0) - 1;
  const breath = new Breath();
  const { rounds } = await breath.through(
    goThroughInSteps(facts, reminding.stories ?? [], now, tomorrowEnds)
  );
  const stops = today.stops.filter(({ steps }) => steps.length > 0);
  const cautions = stops.flatMap(({ steps }) => steps.map(({ body }) => stepCaution(body)));
  return {
    household: household.name,
    date: shortDate(now, household),
    time: clockTime(now, household),
    round: roundName(round.at, household),
    stops: stops.map((stop) => displayStop(stop, standing)),
    cautions: [...new Set(cautions.filter((one) => one !== null))],
    ahead: rounds
      // The round that is walked now stands above.
      .filter(({ at }) => at >= round.nextAt)
      .flatMap(({ at, walk: next }) => {
        const body = bodyOfWalk(next);
        if (!body) return [];
        const { lines } = reminderWords(body, at, household, household.media);
        return [{ when: dayAndTimeAlone(at, now, household), lines }];
      })
  };
}

function displayStop(stop: Stop, standing: HouseholdStanding): DisplayStop {
  const { household, now } = standing;
  const first = stop.parts[0]!.projected;
  const { setup, place, state } = first;
  const { shown, on } = shownStop(stop, standing);
  return {
    ...shown,
    where: `${containersWords(setup)} · ${place.name}`,
    window: state.sownAt === null ? '' : windowWords(windowOf(first), now, household),
    steps: stop.steps.map((step) => cardWords(step, on).title)
  };
}
