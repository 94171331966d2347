import type { Place } from '../../core/places/place.ts';
import type { Load } from '../../core/shelf/load.ts';
import { refusedMove } from '../../core/shelf/moving.ts';
import { project, type HouseholdFacts } from '../../core/sowing/project.ts';
import { readLog, type SowingRecord } from '../../core/sowing/record.ts';
import type { Millis } from '../../core/time/zone.ts';
import type { Tx } from '../db/connection.ts';
import { listUnderWay } from '../sowings/sowings.ts';
import { projectRecords } from './projectRecords.ts';

/** What speaks against moving a tray to a place: the load there with it; null for nothing. */
export async function tooHeavyMove(
  tx: Tx,
  facts: HouseholdFacts,
  record: SowingRecord,
  to: Place,
  now: Millis
): Promise<Load | null> {
  // A board that is not rated, or whose rating somebody vouches for, is not asked.
  if (to.ratedG === null || to.ratedG === undefined || to.ratingSure) return null;
  const all = await projectRecords(facts, await listUnderWay(tx));
  const { id, half } = record.setup;
  // Two halves are one container, and go together.
  const beside = all.filter(({ setup }) => half && setup.half?.trayId === half.trayId && setup.id !== id);
  const moving = [project(facts, record.setup, readLog(record)), ...beside];
  const standing = all.filter(({ place }) => place.id === to.id);
  return refusedMove(moving, to, standing, now);
}
