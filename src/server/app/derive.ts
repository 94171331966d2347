import { packAir } from '../../core/places/air/series.ts';
import { measuredBy } from '../../core/places/air/silence.ts';
import type { HouseholdFacts } from '../../core/sowing/project.ts';
import { readLog, type SowingRecord } from '../../core/sowing/record.ts';
import { reduceEvents } from '../../core/sowing/reduce.ts';
import { DAY, type Millis } from '../../core/time/zone.ts';
import { airBetween, CARRIED_D } from '../air/air.ts';
import type { Tx } from '../db/connection.ts';
import { Breath } from '../requests/breath.ts';
import { derivedOf, saveDerived, type Derived } from '../sowings/derived.ts';

/** Works out what follows from some sowings and writes it down. */
export async function derive(tx: Tx, facts: HouseholdFacts, records: readonly SowingRecord[]): Promise<void> {
  await saveDerived(tx, await derivedOfAll(tx, facts, records));
}

/**
 * What follows from some sowings. One that has ended is judged by the air until then, so that it says the same whenever it is
 * asked: later readings are not of its days.
 */
export async function derivedOfAll(
  tx: Tx,
  facts: HouseholdFacts,
  records: readonly SowingRecord[]
): Promise<Derived[]> {
  const airs = new Map<string, string | null>();
  const derived: Derived[] = [];
  const breath = new Breath();
  for (const record of records) {
    derived.push(derivedOf(await factsUntil(tx, facts, record, airs), record));
    await breath.taken();
  }
  return derived;
}

/** What the household is to one sowing: that has ended, with the air of its own days and none after them. */
export async function factsUntil(
  tx: Tx,
  facts: HouseholdFacts,
  record: SowingRecord,
  airs: Map<string, string | null> = new Map()
): Promise<HouseholdFacts> {
  const events = readLog(record);
  const { endedAt, moves } = reduceEvents(events);
  if (endedAt === null) return facts;
  const places = new Map(facts.places);
  for (const id of new Set([record.setup.placeId, ...moves.map(({ placeId }) => placeId)])) {
    const place = places.get(id);
    if (!place?.air) continue;
    const { air: _air, ownShare: _share, ...rest } = place;
    const air = await airUntil(tx, id, endedAt, airs);
    places.set(id, { ...rest, ...(air ? measuredBy(air, endedAt) : {}) });
  }
  return { ...facts, places };
}

async function airUntil(
  tx: Tx,
  placeId: string,
  until: Millis,
  airs: Map<string, string | null>
): Promise<string | null> {
  const key = `${placeId}|${until}`;
  if (!airs.has(key)) airs.set(key, packAir(await airBetween(tx, placeId, until - CARRIED_D * DAY, until)));
  return airs.get(key) ?? null;
}
