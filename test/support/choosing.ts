import type { Crop } from '../../src/core/crops/crop.ts';
import type { Learned } from '../../src/core/growth/learned.ts';
import {
  planSowing,
  type PlanContext,
  type PlannedSowing,
  type SowingChoice
} from '../../src/core/sowing/planSowing.ts';
import { DEFAULT_METHOD } from '../../src/core/supplies/methods/ready.ts';
import { at, rhythm, steadyPlace } from './rhythm.ts';

/** A Monday, 17:00 in Madrid. */
export const MONDAY = at('2026-11-23T16:00Z');
const TRAY = { name: 'T', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 } as const;

/** A choice of these crops, one tray at 21 degC where nothing else is said. */
export const choiceOf = (crops: readonly Crop[], more: Partial<SowingChoice> = {}): SowingChoice => {
  const method = more.method ?? DEFAULT_METHOD;
  return {
    kind: 'one',
    parts: crops.map((crop) => ({ crop, lot: null, share: 1 })),
    shareOf: 'weight',
    staggered: false,
    container: TRAY,
    count: 1,
    medium: method.medium,
    mediumId: null,
    method,
    place: steadyPlace(21),
    lightPlace: null,
    density: 'usual',
    ownSeedG: null,
    germinationPct: null,
    soakH: null,
    stackOf: null,
    aim: { kind: 'now' },
    ...more
  };
};

/** What a choice is worked out against, for a household that has learned nothing yet. */
export const contextAt = (now: number, learned: Learned = { ended: [], underWay: [] }): PlanContext => ({
  learned,
  yields: [],
  rhythm: rhythm(),
  latitudeDeg: 43.4,
  places: new Map(),
  now
});

/** What comes of a choice. */
export const planned = (choice: SowingChoice, now = MONDAY, learned?: Learned): PlannedSowing[] =>
  planSowing(choice, contextAt(now, learned));
