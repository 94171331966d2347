import type { Learned } from '../core/growth/learned.ts';
import type { YieldLearned } from '../core/growth/yieldLearned.ts';
import type { SowingRecord } from '../core/sowing/record.ts';
import type { Millis } from '../core/time/zone.ts';
import type { ThirstLearned } from '../core/water/thirst.ts';

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
export interface Patch {
  now: Millis;
  records: SowingRecord[];
  learned: Learned;
  thirst: ThirstLearned;
  yields: YieldLearned;
}

/** The answer to a batch of events. */
export interface RecordedBatch {
  results: Recorded[];
  patch: Patch;
}
