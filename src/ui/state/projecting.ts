import { factsOf, type HouseholdBookData, type HouseholdData } from '$core/sowing/facts.ts';
import { project, type HouseholdFacts, type Projected } from '$core/sowing/project.ts';
import { readLog, type SowingRecord } from '$core/sowing/record.ts';
import type { SowingEvent } from '$core/sowing/event.ts';
import type { Millis } from '$core/time/zone.ts';
import type { Journal } from './journal.svelte.ts';

/** What a page was given to project sowings from, and when. */
export interface Loaded extends HouseholdBookData {
  household: HouseholdData;
  now: Millis;
}

/** What the household is now, with what its trays taught since the page was loaded. */
export function factsNow(loaded: Loaded, journal: Journal): HouseholdFacts {
  const { places, ownCrops, learned, thirst, yields } = loaded;
  const book: HouseholdBookData = {
    places,
    ...(ownCrops ? { ownCrops } : {}),
    ...(learned ? { learned } : {}),
    ...(thirst ? { thirst } : {}),
    ...(yields ? { yields } : {})
  };
  return factsOf(loaded.household, journal.patches.book(book, loaded));
}

/** All that happened to a sowing, with what is still on its way. */
export const eventsNow = (
  record: SowingRecord,
  loaded: Pick<Loaded, 'now'>,
  journal: Journal
): readonly SowingEvent[] => journal.with(record.setup.id, readLog(journal.patches.record(record, loaded)));

/** The sowings of a page as they are now: with what changed since, and what this person did that nobody knows yet. */
export const projectAll = (
  records: readonly SowingRecord[],
  facts: HouseholdFacts,
  loaded: Pick<Loaded, 'now'>,
  journal: Journal
): Projected[] => records.map((record) => project(facts, record.setup, eventsNow(record, loaded, journal)));
