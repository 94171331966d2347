import type { Cue } from '../events/event.ts';
import type { Pressing } from '../methods/pressing.ts';
import type { Method } from '../methods/method.ts';
import type { MouldDriver, MouldRisk } from '../looks/mould.ts';
import type { Contradiction } from '../sowing/fold.ts';
import type { Millis } from '../time/zone.ts';

/** What is to be done to one sowing, with how much. Amounts in g, mL and cm2. */
export type TaskBody =
  | { kind: 'soak'; seedG: number; waterMl: number; jarMl: number; until: Millis }
  | { kind: 'drain'; since: Millis; maxAt: Millis; drainH: number }
  | {
      kind: 'sow';
      seedG: number;
      mediumMl: number;
      waterMl: number;
      /** Whether that water goes into a reservoir under a mesh. */
      reservoir: boolean;
      /** Null where nothing presses. */
      pressing: Pressing | null;
    }
  | { kind: 'uncover'; to: 'blackout' | 'light' }
  | { kind: 'light'; lamp: boolean }
  | { kind: 'mist'; waterMl: number }
  | {
      kind: 'water';
      waterMl: number;
      share: number;
      /** By the sowing's method. */
      how: 'below' | 'above' | 'mist';
      /** Share of full strength to feed it with; 0 for plain water. */
      feed: number;
      /** 3 % peroxide to add, mL; 0 for none. */
      peroxideMl: number;
    }
  /** Fill the reservoir up. */
  | { kind: 'top'; waterMl: number; share: number; feed: number }
  /** Turn it round, so that it does not lean to the glass. */
  | { kind: 'turn' }
  /** Let air at it. */
  | { kind: 'air'; drivers: readonly MouldDriver[] }
  | { kind: 'cut'; expectedG: number; closesAt: Millis; tool: Method['cutting']; taking: Method['taking'] };

export interface Task {
  /** Names it across devices and people: the same task has the same key. */
  key: string;
  body: TaskBody;
  dueAt: Millis;
  /** Due in an earlier round and not done. */
  late: boolean;
}

/** A cue worth looking for, with the chance that it has been reached. */
export interface CueLook {
  cue: Cue;
  chance: number;
}

/** Something to know, which asks for nothing to be done. */
export type Note =
  /** No water now: it is cut soon, and dry leaves keep longer. */
  | { kind: 'dry-hours'; share: number }
  /** How much water is left cannot be told: lifted or touched first, it need not be guessed. */
  | { kind: 'unsure' }
  /** So much goes between two rounds that even a full tray hardly lasts. */
  | { kind: 'thirsty' }
  /** More was poured than it holds. */
  | { kind: 'too-much'; g: number; at: Millis }
  | { kind: 'mould-risk'; risk: MouldRisk }
  | { kind: 'scorch' }
  | { kind: 'contradiction'; between: Contradiction };

/** What one sowing asks for in a round. */
export interface Ask {
  tasks: Task[];
  /** The cue to look for, most pressing first; at most one, for one look tells one thing. */
  look: CueLook | null;
  /** Whether how damp it is would help: only where the medium can be seen. */
  feel: boolean;
  notes: Note[];
}
