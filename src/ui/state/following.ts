import type { SowingEvent } from '$core/events/event.ts';
import { follow, type Followed, type HouseholdFacts } from '$core/sowing/follow.ts';
import { readLog, type SowingRecord } from '$core/sowing/record.ts';

/** Follows the records of a page, with what this person has done that the server does not know yet. */
export function followAll(
  records: readonly SowingRecord[],
  facts: HouseholdFacts,
  withOwn: (sowingId: string, events: readonly SowingEvent[]) => readonly SowingEvent[]
): Followed[] {
  return records.map((record) => follow(facts, record.setup, withOwn(record.setup.id, readLog(record))));
}
