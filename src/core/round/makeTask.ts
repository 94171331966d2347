import type { Round } from '../time/rhythm.ts';
import { HOUR, type Millis } from '../time/zone.ts';
import type { Task, TaskBody } from './task.ts';

/** A task of a round; late where it was due over an hour before. */
export function task(key: string, body: TaskBody, dueAt: Millis, round: Round): Task {
  return { key, body, dueAt, late: dueAt < round.at - HOUR };
}
