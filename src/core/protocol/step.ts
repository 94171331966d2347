import type { Method } from '../methods/method.ts';
import type { Pressing } from '../methods/pressing.ts';
import type { Path } from '../methods/path.ts';
import type { Solution } from '../prepare/disinfect.ts';
import type { DisinfectRule } from '../prepare/rule.ts';
import type { Jar } from '../soak/jar.ts';
import type { Millis } from '../time/zone.ts';

/** Steps done on the bench, each ticked by itself. Soaking, draining and sowing have events of their own. */
export const BENCH_STEPS = [
  'weigh',
  'rinse',
  'disinfect',
  'rinse-off',
  'soak',
  'drain',
  'fill',
  'damp',
  'sow',
  'cover',
  'mist',
  'press'
] as const;
export type BenchStep = (typeof BENCH_STEPS)[number];

/** The steps of a protocol in the order of the hands. */
export const STEP_KINDS = [
  ...BENCH_STEPS,
  'uncover',
  'light',
  'feed',
  'air',
  'dry',
  'cut',
  'wash',
  'keep',
  'clean'
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** Seed to be weighed: one line a lot. */
export interface SeedLine {
  cropKey: string;
  name: string;
  seedG: number;
  lotId: string | null;
  /** For blended seed whose parts soak for different times: hours after the first that this one goes in. */
  intoWaterAfterH: number;
}

/** What a step asks for. Amounts in g, mL, cm and cm2. */
export type StepBody =
  | { kind: 'weigh'; seed: SeedLine[] }
  | { kind: 'rinse'; minutes: number }
  | {
      kind: 'disinfect';
      product: 'hypochlorite' | 'peroxide';
      rule: DisinfectRule;
      /** Null where the rule cannot be computed, with the reason in `refused`. */
      solution: Solution | null;
      refused: string;
    }
  | { kind: 'rinse-off' }
  | { kind: 'soak'; jar: Jar; seed: SeedLine[]; hours: number; latestAt: Millis }
  | { kind: 'drain'; hours: number }
  | { kind: 'fill'; mediumMl: number; depthCm: number }
  | { kind: 'damp'; waterMl: number; firstWater: Method['firstWater']; peroxideMl: number }
  | { kind: 'sow'; seedG: number }
  | { kind: 'cover'; cover: Exclude<Path['seedCover'], 'none'>; cm: number; volumeMl: number }
  /** `leftShare` is what is left of the water when the cover comes off, if nothing is added. */
  | { kind: 'mist'; waterMl: number; fine: boolean; covered: boolean; then: Path['mists']; leftShare: number }
  /** `pressing` is null where nothing but a lid or a tray lies on it. */
  | { kind: 'press'; cover: Exclude<Path['cover'], 'none'>; pressing: Pressing | null }
  | { kind: 'uncover'; to: 'blackout' | 'light' }
  | { kind: 'light'; lamp: boolean }
  | { kind: 'feed'; strength: number; reservoir: boolean }
  | { kind: 'air' }
  | { kind: 'dry' }
  | { kind: 'cut'; tool: Method['cutting']; taking: Method['taking']; expectedG: number }
  | { kind: 'wash'; washing: Method['washing'] }
  | { kind: 'keep'; minD: number; maxD: number; keepAtC: number }
  | { kind: 'clean'; compost: boolean };

/** One step of a protocol with when it is expected to be done. */
export interface Step {
  body: StepBody;
  from: Millis;
  until: Millis;
}

export const isBenchStep = (kind: StepKind): kind is BenchStep =>
  (BENCH_STEPS as readonly StepKind[]).includes(kind);
