import type { SowingEvent } from '$core/events/event.ts';
import { follow, type Followed, type HouseholdFacts } from '$core/sowing/follow.ts';
import type { SowingSetup } from '$core/sowing/sowing.ts';

/** Follows the records of a page, with what this person has done that the server does not know yet. */
export function followAll(
  records: readonly { setup: SowingSetup; events: SowingEvent[] }[],
  facts: HouseholdFacts,
  withOwn: (sowingId: string, events: readonly SowingEvent[]) => readonly SowingEvent[]
): Followed[] {
  return records.map(({ setup, events }) => follow(facts, setup, withOwn(setup.id, events)));
}
