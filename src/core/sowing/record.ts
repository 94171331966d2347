import type { EventBody, SowingEvent } from './event.ts';
import type { Millis } from '../time/zone.ts';
import type { Story } from './projectInSteps.ts';
import type { SowingSetup } from './sowing.ts';

/**
 * A sowing with everything that happened to it. The log stays text until somebody follows it: the server,
 * which only hands it on, need neither read nor write it again.
 */
export interface SowingRecord {
  setup: SowingSetup;
  /** When it was put on the list; not known where an answer only brings what changed. */
  plannedAt?: Millis;
  /** Its container is not followed on its way back to the shelf: it ended before that was asked. */
  cleaning?: false;
  /** Nothing stands in its container any more, and that is to be cleaned. */
  emptied?: true;
  /** JSON array of events in the order they happened, each as {@link LogEntry}. */
  log: string;
}

type LogEntry = [id: string, at: Millis, by: string | null, taskKey: string | null, body: EventBody];

/** A record with one event more, as the database would give it. */
export function withEvent<R extends SowingRecord>(record: R, { id, at, by, taskKey, body }: SowingEvent): R {
  const entries = JSON.parse(record.log) as LogEntry[];
  const before = entries.findLastIndex((entry) => entry[1] <= at);
  entries.splice(before + 1, 0, [id, at, by, taskKey, body]);
  return { ...record, log: JSON.stringify(entries) };
}

/** A record as it is projected. */
export const storyOf = (record: Pick<SowingRecord, 'setup' | 'log'>): Story => ({
  setup: record.setup,
  events: readLog(record)
});

/** What each record's log was read as: a record is asked for its events by several in one request. */
const read = new WeakMap<Pick<SowingRecord, 'log'>, readonly SowingEvent[]>();

/** The events of a record, in the order they happened. */
export function readLog(record: Pick<SowingRecord, 'log'>): readonly SowingEvent[] {
  let events = read.get(record);
  if (!events) {
    events = (JSON.parse(record.log) as LogEntry[]).map(([id, at, by, taskKey, body]) => ({
      id,
      at,
      by,
      taskKey,
      body
    }));
    read.set(record, events);
  }
  return events;
}

/** The log that holds events, in the order they happened. */
export const logOf = (events: readonly SowingEvent[]): string =>
  JSON.stringify(events.map(({ id, at, by, taskKey, body }): LogEntry => [id, at, by, taskKey, body]));
