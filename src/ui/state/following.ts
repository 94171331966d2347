import type { Place } from '$core/clock/place.ts';
import type { SowingEvent } from '$core/events/event.ts';
import { follow, type Followed, type HouseholdFacts } from '$core/sowing/follow.ts';
import type { SowingSetup } from '$core/sowing/sowing.ts';
import type { Rhythm } from '$core/time/rhythm.ts';
import { zoneOf } from '$core/time/zone.ts';

/** The parts of a household that the core needs, as a page has them. */
export interface HouseholdData {
  zone: string;
  latitudeDeg: number;
  wakeMin: number;
  sleepMin: number;
  roundsMin: number[];
}

export function rhythmFrom(household: HouseholdData): Rhythm {
  const { zone, wakeMin, sleepMin, roundsMin } = household;
  return { zone: zoneOf(zone), wakeMin, sleepMin, roundsMin };
}

export const factsFrom = (household: HouseholdData, places: readonly Place[]): HouseholdFacts => ({
  rhythm: rhythmFrom(household),
  latitudeDeg: household.latitudeDeg,
  places: new Map(places.map((place) => [place.id, place]))
});

/** Follows the records of a page, with what this person has done that the server does not know yet. */
export function followAll(
  records: readonly { setup: SowingSetup; events: SowingEvent[] }[],
  facts: HouseholdFacts,
  withOwn: (sowingId: string, events: readonly SowingEvent[]) => readonly SowingEvent[]
): Followed[] {
  return records.map(({ setup, events }) => follow(facts, setup, withOwn(setup.id, events)));
}
