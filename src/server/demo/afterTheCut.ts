import { pantryOf } from '../../core/pantry/item.ts';
import { JUICE_ML_G, PORTION } from '../../core/pantry/amounts.ts';
import { cleaningPlan } from '../../core/cleaning/cleaning.ts';
import type { EventBody, SowingEvent } from '../../core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../core/sowing/project.ts';
import type { SowingSetup } from '../../core/sowing/sowing.ts';
import { roundsBetween } from '../../core/time/rhythm.ts';
import { HOUR, MINUTE, type Millis } from '../../core/time/zone.ts';
import type { Chance } from './chance.ts';

/** A meal takes about so much of one crop, g. */
const MEAL_G = 26;
const MOST_WEEKS = 4;

/**
 * What becomes of what a tray gave, and of the tray: eaten by meals, now and then given away, thrown out where it was left
 * too long; washed and back on the shelf within two days.
 * @param until nothing is recorded after that
 * @param juiced all of it is pressed and frozen
 */
export function afterTheCut(
  household: HouseholdFacts,
  setup: SowingSetup,
  grown: readonly SowingEvent[],
  members: readonly string[],
  chance: Chance,
  { until, juiced = false }: { until: Millis; juiced?: boolean }
): SowingEvent[] {
  const { state } = project(household, setup, grown);
  if (state.endedAt === null) return [];
  const events: SowingEvent[] = [];
  const record = (at: Millis, body: EventBody, taskKey: string | null = null) => {
    if (at > until) return;
    events.push({
      id: chance.id(),
      at: Math.round(at),
      by: members[Math.floor(chance.uniform() * members.length)]!,
      taskKey,
      body
    });
  };
  const rounds = roundsBetween(
    household.rhythm,
    state.endedAt + HOUR,
    Math.min(until, state.endedAt + MOST_WEEKS * 7 * 24 * HOUR)
  );
  const washes = rounds[1 + Math.floor(chance.uniform() * 3)];
  if (washes !== undefined)
    cleaningPlan(project(household, setup, grown))
      .steps.filter((step) => step !== 'disinfect' || state.lost === 'mould')
      .forEach((step, index) =>
        record(washes + (20 + index) * MINUTE, { type: 'cleaned', step }, `clean:${step}`)
      );
  if (state.lost !== null) return events;
  for (const round of rounds) {
    const at = round + (40 + chance.uniform() * 30) * MINUTE;
    const { items } = pantryOf(project(household, setup, [...grown, ...events]), household.rhythm.zone);
    const item = items[0];
    if (!item) break;
    if (item.unit === 'g' && juiced) {
      const made = Math.round(item.left * JUICE_ML_G);
      record(at, {
        type: 'packed',
        from: item.id,
        amount: item.left,
        packing: 'frozen-juice',
        washing: 'unwashed',
        made,
        portion: PORTION.juiceMl
      });
      continue;
    }
    if (at > item.keepsTo) {
      record(at, { type: 'thrown', from: item.id, amount: item.left, reason: 'wilted' });
      break;
    }
    if (chance.uniform() < (item.unit === 'mL' ? 0.85 : 0.6)) continue;
    const meal =
      item.portion ?? Math.min(item.left, Math.max(8, Math.round(MEAL_G * (0.6 + chance.uniform()))));
    const to = chance.uniform() < 0.12 ? 'given' : 'eaten';
    record(at, { type: 'taken', from: item.id, amount: item.left - meal < 6 ? item.left : meal, to });
  }
  return events;
}
