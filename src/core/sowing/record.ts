import type { EventBody, SowingEvent } from './event.ts';
import type { Millis } from '../time/zone.ts';
import type { SowingSetup } from './sowing.ts';

/**
 * A sowing with everything that happened to it. The log stays text until somebody follows it: the server,
 * which only hands it on, need neither read nor write it again.
 */
export interface SowingRecord {
  setup: SowingSetup;
  /** JSON array of events in the order they happened, each as {@link LogEntry}. */
  log: string;
}

type LogEntry = [id: string, at: Millis, by: string | null, taskKey: string | null, body: EventBody];

/** The events of a record. */
export const readLog = ({ log }: Pick<SowingRecord, 'log'>): SowingEvent[] =>
  (JSON.parse(log) as LogEntry[]).map(([id, at, by, taskKey, body]) => ({ id, at, by, taskKey, body }));
