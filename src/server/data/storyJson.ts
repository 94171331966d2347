import { reduceEvents } from '../../core/sowing/reduce.ts';
import { readLog } from '../../core/sowing/record.ts';
import { storiesOf } from '../app/storiesOf.ts';
import type { Tx } from '../db/connection.ts';
import { findSowing } from '../sowings/sowings.ts';

const at = (moment: number | null): string | null =>
  moment === null ? null : new Date(moment).toISOString();

/** One sowing, readable: what was decided, what came of it, and each thing that happened. Null where there is none. */
export async function storyJson(tx: Tx, id: string): Promise<object | null> {
  const [record, { stories, household, currency }] = await Promise.all([
    findSowing(tx, id),
    storiesOf(tx, [id])
  ]);
  const [story] = stories;
  if (!record || !story) return null;
  const { setup } = record;
  const { facts, cost, fate } = story;
  return {
    sowing: {
      id: setup.id,
      crop: facts.cropName,
      container: setup.container,
      count: setup.count,
      areaShare: setup.areaShare,
      medium: setup.medium,
      method: setup.method,
      seedG: setup.seedG,
      seedsPerCm2: setup.seedsPerCm2,
      mix: setup.mix,
      plannedSoak: [at(setup.soakStartAt), at(setup.soakEndAt)],
      plannedSowing: at(setup.sowAt)
    },
    came: { sown: at(facts.startAt), lost: facts.lost, ...facts.came },
    wentG: fate,
    cost: { currency, ...cost },
    events: reduceEvents(readLog(record)).log.map(({ event, undone, repeat }) => ({
      id: event.id,
      at: at(event.at),
      by: event.by === null ? null : (household.members[event.by] ?? null),
      ...event.body,
      ...(undone ? { takenBack: true } : {}),
      ...(repeat ? { doneBefore: true } : {})
    }))
  };
}
