import { factsOf, type Household } from '$core/sowing/household.ts';
import { project, type HouseholdFacts, type Projected } from '$core/sowing/project.ts';
import { readLog, type SowingRecord } from '$core/sowing/record.ts';
import type { SowingEvent } from '$core/sowing/event.ts';
import type { Journal } from './journal.svelte.ts';
import type { LoadedAt } from './patches.svelte.ts';

/** The household as it is now, with what its trays taught since the page was loaded. */
export const factsNow = (loaded: LoadedAt & { household: Household }, journal: Journal): HouseholdFacts =>
  factsOf(journal.patches.household(loaded.household, loaded));

/** All that happened to a sowing, with what is still on its way. */
export const eventsNow = (record: SowingRecord, loaded: LoadedAt, journal: Journal): readonly SowingEvent[] =>
  journal.with(record.setup.id, readLog(journal.patches.record(record, loaded)));

/** The sowings of a page as they are now: with what changed since, and what this person did that nobody knows yet. */
export const projectAll = (
  records: readonly SowingRecord[],
  facts: HouseholdFacts,
  loaded: LoadedAt,
  journal: Journal
): Projected[] => records.map((record) => project(facts, record.setup, eventsNow(record, loaded, journal)));
