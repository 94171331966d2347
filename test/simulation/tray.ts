import type { EventBody, SowingEvent } from '../../src/core/sowing/event.ts';
import { CUES, type Cue } from '../../src/core/sowing/event.ts';
import { askOf } from '../../src/core/steps/ask.ts';
import { ticked } from '../../src/core/steps/ticked.ts';
import { project, type Projected, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { roundAt, roundsBetween } from '../../src/core/time/rhythm.ts';
import { DAY, HOUR, MINUTE, type Millis } from '../../src/core/time/zone.ts';
import { lossGPerDay } from '../../src/core/water/bucket.ts';
import { coverAt } from '../../src/core/water/cover.ts';
import { trackOf } from '../../src/core/water/level.ts';
import { plantsG } from '../../src/core/water/plants.ts';
import { tableOptimumDays } from '../../src/core/growth/marks.ts';
import { SPREAD } from '../../src/core/growth/spread.ts';
import { THIRST_SPREAD } from '../../src/core/water/thirst.ts';
import type { MarkForecast } from '../../src/core/growth/forecastMark.ts';
import type { Chance } from '../../src/server/demo/chance.ts';
import { trueAir, type HiddenHousehold } from './household.ts';

/** What came of one tray that was grown by following Brote. */
export interface GrownTray {
  events: SowingEvent[];
  setup: SowingSetup;
  /** When its window truly opened. */
  openedAt: Millis;
  /** What was forecast of that: when it was sown, at first light, and the day before. */
  said: { atSowing: MarkForecast; atLight: MarkForecast | null; dayBefore: MarkForecast | null };
  givenG: number;
  lostG: number;
  /** The medium ran dry, or stood in water. */
  dried: boolean;
  drowned: boolean;
  endedAt: Millis;
}

/** Drier than this, seedlings die; more than this over what it holds, poured at once, and roots drown. */
const DRY_SHARE = 0.03;
const DROWNED_SHARE = 1.15;
const TARE_G = 240;

/** One tray, walked past twice a day by somebody who does what Brote asks and looks as people look. */
export function growTray(
  household: HiddenHousehold,
  learnt: Pick<HouseholdFacts, 'learned' | 'thirst'>,
  setup: SowingSetup,
  chance: Chance
): GrownTray {
  const known = (at: Millis): HouseholdFacts => ({ ...household.known(at), ...learnt });
  const events: SowingEvent[] = [];
  const record = (at: Millis, body: EventBody, taskKey: string | null = null) =>
    events.push({ id: chance.id(), at: Math.round(at), by: null, taskKey, body });
  const sowingPace = household.pace + household.cropPace + chance.normal(cvOf(household, setup));
  const durations = drawDurations(household, setup, sowingPace, chance);
  const factor = Math.exp(household.thirst + chance.normal(THIRST_SPREAD.sowing));

  record(setup.sowAt, { type: 'sown', waterG: 0 });
  let projected = project(known(setup.sowAt), setup, events);
  const fullAt = (at: Millis): number => trackOf(projected).fullG(at);
  let waterG = fullAt(setup.sowAt) * 0.9;
  events[0]!.body = { type: 'sown', waterG };
  projected = project(known(setup.sowAt), setup, events);
  const said: GrownTray['said'] = {
    atSowing: projected.forecast.marks.windowOpen,
    atLight: null,
    dayBefore: null
  };
  let [time, givenG, lostG, dried, drowned] = [setup.sowAt, 0, 0, false, false];
  let openedAt: Millis | null = null;

  const live = (until: Millis, truly: Projected) => {
    while (time < until) {
      const next = Math.min(until, time + HOUR);
      const rate = lossGPerDay(truly.areaCm2, coverAt(truly, time), trueAir(household, time)) * factor;
      const lost = Math.min(waterG, (rate * (next - time)) / DAY);
      waterG -= lost;
      lostG += lost;
      if (waterG < fullAt(time) * DRY_SHARE) dried = true;
      time = next;
      if (openedAt === null && truly.forecast.clock.tau(time) >= durations.windowOpen) openedAt = time;
    }
  };
  for (const due of roundsBetween(household.truth.rhythm, setup.sowAt + HOUR, setup.sowAt + 45 * DAY)) {
    const at = due + chance.uniform() * 50 * MINUTE;
    const truly = project(household.truth, setup, events);
    live(at, truly);
    projected = project(known(at), setup, events);
    const round = roundAt(household.truth.rhythm, due);
    const { look, feel, notes } = askOf(projected, round, at);
    if (notes.some(({ kind }) => kind === 'thirsty')) household.stillAir();
    const unsure = notes.some(({ kind }) => kind === 'unsure');
    if (household.scale && round.key.endsWith('.0'))
      record(at, {
        type: 'weighed',
        grossG: TARE_G + waterG + plantsG(truly, at) * 1.1 + chance.normal(fullAt(at) * 0.01),
        full: false
      });
    else if (feel && (unsure || chance.uniform() < 0.4))
      record(at, handOf(waterG / fullAt(at) + chance.normal(0.05), chance.uniform() < 0.5));
    if (look) record(at, { type: 'looked', cue: look.cue, reached: sees(truly, look.cue, at) });
    projected = project(known(at), setup, events);
    if (projected.state.seen.some(({ mark, reachedAt }) => mark === 'windowOpen' && reachedAt !== null))
      break;
    for (const task of askOf(projected, round, at).steps) {
      const body = ticked(task.body);
      if (!body) continue;
      if (body.type === 'watered' || body.type === 'misted') {
        const poured = body.waterG * (1 + chance.normal(0.04));
        givenG += poured;
        if (waterG + poured > fullAt(at) * DROWNED_SHARE) drowned = true;
        waterG = Math.min(fullAt(at), waterG + poured);
      }
      record(at + MINUTE, body, task.key);
    }
    projected = project(known(at), setup, events);
    const open = projected.forecast.marks.windowOpen;
    if (projected.state.litAt !== null) said.atLight ??= open;
    if (!open.seen && open.p50 - at < DAY) said.dayBefore ??= open;
  }
  // Cut before it had quite opened, by a mistaken look: it would have opened all the same.
  if (openedAt === null)
    openedAt = project(household.truth, setup, events).forecast.clock.when(durations.windowOpen);
  return { events, setup, openedAt, said, givenG, lostG, dried, drowned, endedAt: time };

  /** Sees a cue that is there nineteen times of twenty; now and then sees one that is all but there. */
  function sees(truly: Projected, cue: Cue, at: Millis): boolean {
    const ratio = truly.forecast.clock.tau(at) / durations[cue];
    return ratio >= 1 ? chance.uniform() < 0.95 : ratio > 0.95 && chance.uniform() < 0.15;
  }
}

/** What a hand says of a share of capacity: lifting the tray, or touching what it stands on. */
const handOf = (share: number, lifted: boolean): EventBody =>
  lifted
    ? { type: 'lifted', heft: share < 0.36 ? 'light' : share < 0.82 ? 'right' : 'heavy' }
    : { type: 'felt', moisture: share < 0.33 ? 'dry' : share < 0.87 ? 'right' : 'wet' };

const cvOf = (household: HiddenHousehold, setup: SowingSetup): number =>
  project(household.truth, setup, []).crop.durationCv;

/** Optimum days that each cue of this tray truly takes. */
function drawDurations(
  household: HiddenHousehold,
  setup: SowingSetup,
  pace: number,
  chance: Chance
): Record<Cue, number> {
  const table = tableOptimumDays(project(household.truth, setup, []).crop);
  return Object.fromEntries(
    CUES.map((cue) => [cue, table[cue] * Math.exp(pace + chance.normal(SPREAD.stage))])
  ) as Record<Cue, number>;
}
