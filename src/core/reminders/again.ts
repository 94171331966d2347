import type { HouseholdFacts, Projected } from '../sowing/project.ts';
import type { Millis } from '../time/zone.ts';
import { judge, type Reminding } from './due.ts';
import { ownKey } from './keys.ts';
import type { Reminder, ReminderBody } from './reminder.ts';

/**
 * A reminder that goes out later than it was told, as it stands by then: after an outage, a night or a failed try. What was
 * done meanwhile is not asked for again.
 * @returns null where it is of no more use
 */
export function stillMatters(
  facts: HouseholdFacts,
  projected: readonly Projected[],
  reminding: Reminding,
  { key, dueAt, until, body }: Reminder,
  now: Millis
): ReminderBody | null {
  if (now >= until) return null;
  if (body.type === 'member-removed') return body;
  const own = ownKey(key);
  const { due } = judge(
    facts,
    projected,
    { ...reminding, told: reminding.told.filter((one) => one.key !== own), since: dueAt - 1 },
    now
  );
  return due.find((one) => one.key === own)?.body ?? null;
}
