import { findCrop } from '../../core/crops/library.ts';
import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import { askOf } from '../../core/steps/ask.ts';
import type { DueStep } from '../../core/steps/due.ts';
import { ticked } from '../../core/steps/ticked.ts';
import { project, type Projected, type HouseholdFacts } from '../../core/sowing/project.ts';
import type { SowingSetup } from '../../core/sowing/sowing.ts';
import { sowingWeightG } from '../../core/shelf/load.ts';
import { roundAt, roundsBetween } from '../../core/time/rhythm.ts';
import { DAY, HOUR, MINUTE } from '../../core/time/zone.ts';
import { tableOptimumDays, type Mark } from '../../core/growth/marks.ts';
import type { Chance } from './chance.ts';

/** What nature has decided about one sowing, which the grower only sees by looking. */
export interface Nature {
  /** How slow it is against the table: 1 is by the book. */
  pace: number;
  /** Yield against the table's middle. */
  vigour: number;
  /** How much of the expected water it really used. */
  thirst: number;
}

/** How this household packs what it cuts. */
const PACKED = ['paper-box', 'paper-box', 'cloth-bag', 'pierced-box'] as const;

/** Draws a sowing's nature around that of its household (docs/model.md, 5). */
export function natureOf(cropKey: string, householdPace: number, chance: Chance): Nature {
  const cv = findCrop(cropKey)!.durationCv;
  return {
    pace: Math.exp(householdPace + chance.normal(cv * 0.7)),
    vigour: Math.exp(chance.normal(0.12)),
    thirst: Math.exp(chance.normal(0.1))
  };
}

/** A sowing's events as a grower makes them who does at each round what Brote asks, until a moment. */
export function growerFollows(
  household: HouseholdFacts,
  setup: SowingSetup,
  nature: Nature,
  members: readonly string[],
  chance: Chance,
  end: { until: number; lostAt?: number | undefined; cutWhenOpen: boolean; weighs?: boolean }
): SowingEvent[] {
  const events: SowingEvent[] = [];
  const record = (at: number, body: EventBody, taskKey: string | null = null) =>
    events.push({
      id: chance.id(),
      at: Math.round(at),
      by: members[Math.floor(chance.uniform() * members.length)]!,
      taskKey,
      body
    });
  const start = setup.soakStartAt ?? setup.sowAt;
  const table = tableOptimumDays(findCrop(setup.cropKey)!);
  const stageNoise = new Map<Mark, number>();
  const reached = (projected: Projected, mark: Mark, at: number): boolean => {
    if (!stageNoise.has(mark)) stageNoise.set(mark, Math.exp(chance.normal(0.03)));
    return projected.forecast.clock.tau(at) >= table[mark] * nature.pace * stageNoise.get(mark)!;
  };
  const rounds = roundsBetween(household.rhythm, start - HOUR, end.until);
  let openSince: number | null = null;
  for (const due of rounds) {
    const at = due + (5 + chance.uniform() * 40) * MINUTE;
    if (at > end.until) break;
    let projected = project(household, setup, events);
    if (projected.state.stage === 'ended') break;
    if (end.lostAt !== undefined && at > end.lostAt) {
      record(at, { type: 'noted', text: 'Grey threads across the stems, and it smells. Out it goes.' });
      record(at + MINUTE, { type: 'ended', reason: 'mould' });
      break;
    }
    const round = roundAt(household.rhythm, due);
    const { look, feel } = askOf(projected, round, at);
    if (look) {
      const seen = reached(projected, look.cue, at);
      record(at, { type: 'looked', cue: look.cue, reached: seen });
      if (seen && look.cue === 'windowOpen') openSince = at;
    }
    if (feel && chance.uniform() < 0.35) record(at, { type: 'felt', moisture: 'right' });
    projected = project(household, setup, events);
    for (const step of askOf(projected, round, at).steps) {
      if (step.body.kind === 'cut') {
        const late = openSince !== null && at > openSince + (6 + chance.uniform() * 30) * HOUR;
        if (end.cutWhenOpen && (late || at > step.dueAt + 2 * DAY)) {
          const netG = Math.round(step.body.expectedG * nature.vigour);
          record(
            at,
            {
              type: 'cut',
              grossG: netG + 212,
              tareG: 212,
              share: 1,
              last: true,
              handling: {
                tool: setup.method.cutting,
                washing: setup.method.washing,
                packing: PACKED[Math.floor(chance.uniform() * PACKED.length)]!
              }
            },
            step.key
          );
          // A tray that was cut is not watered any more.
          break;
        }
        continue;
      }
      record(at + MINUTE, bodyOf(step, nature), step.key);
      if (end.weighs && step.body.kind === 'sow') {
        const weighed = project(household, setup, events);
        const grossG = Math.round(sowingWeightG(weighed, at + 2 * MINUTE) - pressedG(step));
        record(at + 2 * MINUTE, { type: 'weighed', grossG, full: true });
      }
    }
  }
  return events;
}

/** What lies on it once it is sown. */
const pressedG = ({ with: others }: DueStep): number => {
  const press = others.find(({ kind }) => kind === 'press');
  return press?.kind === 'press' && press.pressing ? press.pressing.eachG * press.pressing.containers : 0;
};

/** What ticking the step records, with the water the tray really took. */
function bodyOf(step: DueStep, nature: Nature): EventBody {
  const body = ticked(step.body)!;
  if (body.type !== 'watered') return body;
  return { ...body, waterG: Math.round((body.waterG * nature.thirst) / 5) * 5 };
}
