import type { SowingEvent } from '$core/sowing/event.ts';
import { project, type Projected, type HouseholdFacts } from '$core/sowing/project.ts';
import { readLog, type SowingRecord } from '$core/sowing/record.ts';

/** Follows the records of a page, with what this person has done that the server does not know yet. */
export function projectAll(
  records: readonly SowingRecord[],
  facts: HouseholdFacts,
  withOwn: (sowingId: string, events: readonly SowingEvent[]) => readonly SowingEvent[]
): Projected[] {
  return records.map((record) => project(facts, record.setup, withOwn(record.setup.id, readLog(record))));
}
