import type { Lessons } from '../core/sowing/household.ts';
import type { SowingRecord } from '../core/sowing/record.ts';
import type { SowingSetup } from '../core/sowing/sowing.ts';
import type { Millis } from '../core/time/zone.ts';

/** Why something was not done, for programs: every refusal of the API carries one of these. */
export type ProblemCode =
  | 'wrong'
  | 'unreadable'
  | 'missing'
  | 'conflict'
  | 'changed'
  | 'implausible'
  | 'too-heavy'
  | 'too-many'
  | 'token'
  | 'signed-out'
  | 'away';

/** What keeps something from being done, and what to do about it. */
export interface ApiProblem {
  code: ProblemCode;
  message: string;
  /** Of a form: what is wrong, field by field; `message` is the first of them. */
  fields?: Record<string, string>;
}

/** What became of one event of a batch; `correctedTo` is the time it was recorded under, where that is not the one sent. */
export type Recorded =
  { id: string; ok: true; correctedTo?: Millis } | ({ id: string; ok: false } & ApiProblem);

/** What a write changed, as it is now: the page puts it in place of what it knew. */
export interface Patch extends Lessons {
  now: Millis;
  records: SowingRecord[];
}

/** The answer to a batch of events. */
export interface RecordedBatch {
  results: Recorded[];
  patch: Patch;
}

/** What can be found by name: trays under way, in walking order, and crops. */
export interface Found {
  trays: {
    id: string;
    crops: string[];
    of: Pick<SowingSetup, 'container' | 'count' | 'trayNo'>;
    place: string;
  }[];
  crops: { key: string; name: string; botanicalName: string }[];
}
