import { judge } from '../../src/core/reminders/due.ts';
import type { Reminder, Told } from '../../src/core/reminders/reminder.ts';
import type { SowingEvent } from '../../src/core/sowing/event.ts';
import { project, type HouseholdFacts } from '../../src/core/sowing/project.ts';
import type { SowingSetup } from '../../src/core/sowing/sowing.ts';
import { walk } from '../../src/core/steps/walk.ts';
import { roundAt } from '../../src/core/time/rhythm.ts';
import { HOUR, MINUTE } from '../../src/core/time/zone.ts';

/** A reminder with when it came. */
export type Came = Reminder & { at: number };

/** A kitchen whose clock is moved from judging to judging; its grower ticks what the reminders say, or does not. */
export function remindedKitchen(
  facts: HouseholdFacts,
  sowings: readonly { setup: SowingSetup; events: SowingEvent[] }[],
  from: number,
  { follows }: { follows: (reminder: Came) => boolean }
): { until(end: number): Came[]; came: Came[]; judged: number } {
  const came: Came[] = [];
  const told: Told[] = [];
  let now = from;
  let since = from - 1;
  let lastTouchAt = from;
  let made = 0;
  /** When the grower next walks a round that was told. */
  let walkAt = Infinity;
  const kitchen = { until, came, judged: 0 };
  const all = () =>
    sowings
      .map(({ setup, events }) => project(facts, setup, events))
      .filter(({ state }) => state.stage !== 'ended');

  function walkRound(): void {
    const round = roundAt(facts.rhythm, now);
    for (const { steps } of walk(all(), round, now).stops)
      for (const step of steps)
        for (const { projected, records, key } of step.of) {
          const body =
            step.body.kind === 'cut'
              ? ({ type: 'cut', grossG: step.body.expectedG, tareG: 0, share: 1, last: true } as const)
              : records;
          if (!body) continue;
          made += 1;
          const id = `00000000-0000-4000-9000-${String(made).padStart(12, '0')}`;
          const events = sowings.find(({ setup }) => setup.id === projected.setup.id)!.events;
          events.push({ id, at: now, by: null, taskKey: key, body });
        }
    lastTouchAt = now;
  }

  function until(end: number): Came[] {
    while (now < end) {
      kitchen.judged += 1;
      const { due, nextAt } = judge(facts, all(), { told, lastTouchAt, lastRead: [], since }, now);
      since = now;
      for (const reminder of due) {
        const one = { ...reminder, at: now };
        came.push(one);
        told.push({ key: one.key, opensAt: one.body.type === 'window' ? one.body.opensAt : null });
        if (['round', 'timer', 'dry'].includes(one.body.type) && follows(one)) walkAt = now + 10 * MINUTE;
      }
      const next = Math.max(nextAt, now + 1);
      if (walkAt === Infinity && next === Infinity) break;
      if (walkAt <= next) {
        now = walkAt;
        walkAt = Infinity;
        walkRound();
        // As a write does: judged again within a quarter of an hour.
        now += 15 * MINUTE;
      } else now = Math.min(next, now + 24 * HOUR);
    }
    return came;
  }
  return kitchen;
}
