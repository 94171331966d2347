import type { Problem } from '../problem.ts';
import type { MouldDriver } from '../diagnosis/mould.ts';
import { BENCH_STEPS, type BenchStep, type Cleaning } from '../sowing/event.ts';
import type { PlaceLight } from '../places/place.ts';
import type { Method } from '../supplies/methods/method.ts';
import type { CoverKind, Path } from '../supplies/methods/path.ts';
import type { Pressing } from '../supplies/methods/pressing.ts';
import type { Disinfectant, Solution } from '../supplies/seed/disinfect.ts';
import type { Jar } from '../supplies/seed/jar.ts';
import type { DisinfectRule } from '../supplies/seed/rule.ts';
import type { Stacking } from '../shelf/stack.ts';
import type { Millis } from '../time/zone.ts';

/** All that is ever to be done to a sowing, in the order of the hands. Bench, round and list show these and no others. */
export const STEP_KINDS = [
  ...BENCH_STEPS,
  'weight',
  'uncover',
  'light',
  'unshade',
  'water',
  'spray',
  'turn',
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
  /** Its crop's name. */
  name: string;
  /** Its variety, where somebody named it. */
  variety?: string;
  seedG: number;
  lotId: string | null;
  /** For blended seed whose parts soak for different times: hours after the first that this one goes in. */
  intoWaterAfterH: number;
}

/** Feed in water: how strong, and how much of it; null where nobody has read the bottle. */
export interface Feed {
  /** Of full strength, over 0 to 1. */
  strength: number;
  mL: number | null;
  mLPerL: number | null;
}

/**
 * Little is left; little would be left before somebody comes by again; nobody can tell, and it might hang; its cover has come off,
 * and it stays in the dark; or its method waters it at this round, however damp it is.
 */
export type WhyWater = 'low' | 'soon' | 'unsure' | 'uncovered' | 'as-chosen';

/** Where water goes. */
export type How = 'below' | 'above' | 'mist' | 'reservoir' | 'through';

/**
 * What a method takes a cover off by, where it is not the look of the crop: days in the dark from sowing on, days under the dome
 * once it has rooted, or stems that stand so high over the rim and over their medium, cm.
 */
export type OffBy =
  | { kind: 'dark-days'; days: number }
  | { kind: 'dome-days'; days: number }
  | { kind: 'height'; overRimCm: number; stemCm: number };

/** What a step asks for. Amounts in g, mL, cm and cm2, of all its containers together. */
export type StepBody =
  /** `disinfect` names seed for which disinfecting is advised and not done. */
  | { kind: 'weigh'; seed: SeedLine[]; disinfect: string[] }
  | { kind: 'rinse'; minutes: number }
  | {
      kind: 'disinfect';
      product: Disinfectant;
      rule: DisinfectRule;
      /** One a lot of seed, each its own jar; empty where the rule cannot be computed, with the reason in `refused`. */
      jars: { name: string; solution: Solution }[];
      refused: Problem | null;
    }
  | { kind: 'rinse-off' }
  | {
      kind: 'soak';
      jar: Jar;
      seed: SeedLine[];
      /** Seed that gels and so stays out of it. */
      dry: string[];
      hours: number;
      until: Millis;
      latestAt: Millis;
      peroxideMl: number;
    }
  /** `latestAt` is when soaked seed goes soft. */
  | { kind: 'drain'; hours: number; endsAt: Millis; latestAt: Millis }
  | { kind: 'fill'; mediumMl: number; depthCm: number }
  | {
      kind: 'damp';
      waterMl: number;
      how: Method['firstWater'] | 'reservoir' | 'film';
      /** In what fills a reservoir, where the method feeds there. */
      feed: Feed | null;
      peroxideMl: number;
    }
  /** `onWaterMl` is what its medium and reservoir were given before. */
  | { kind: 'sow'; seedG: number; onWaterMl: number }
  | { kind: 'cover'; cover: Exclude<Path['seedCover'], 'none'>; cm: number; volumeMl: number }
  | {
      kind: 'mist';
      waterMl: number;
      /** Seed that gels wants the finest. */
      fine: boolean;
      peroxideMl: number;
      /** The first one, on the bench: how it goes on from there. */
      first: {
        cover: CoverKind;
        then: Path['mists'];
        /** What is left of the water when the cover comes off, if nothing is added. */
        leftShare: number;
      } | null;
    }
  | {
      kind: 'press';
      cover: Exclude<CoverKind, 'none'>;
      /** What lies on it, on the uppermost of a stack; null where nothing presses. */
      pressing: Pressing | null;
      /** What is to lie on it once it has rooted, where it is pressed late. */
      later: Pressing | null;
      /** It lies on both halves of a container. */
      shared: boolean;
      /** It lifts its lid, and is looked at daily. */
      watch: boolean;
      /** How many may stand on one of it in a stack. */
      onTop: number;
      /** How its own trays stand on each other; null where they do not. */
      stacking: Stacking | null;
    }
  /** Laid on once it has rooted under its lid. */
  | { kind: 'weight'; pressing: Pressing; shared: boolean }
  /** `where` is the light of the place where it stands: in a dark one it is carried on. */
  | {
      kind: 'uncover';
      off: Exclude<CoverKind, 'none'>;
      to: 'blackout' | 'light';
      where: PlaceLight['kind'];
      /** By what it comes off, where that is not the look of it. */
      by: OffBy | null;
    }
  /** `by` what its dome comes off, where that is not the look of its stems. */
  | { kind: 'light'; where: PlaceLight['kind']; by: OffBy | null }
  /** Take the shade on a sill off. */
  | { kind: 'unshade' }
  | {
      kind: 'water';
      /** Null for the whole time in light: the round says when and how much. */
      waterMl: number | null;
      /** What stays of it in a mat that it is poured through, mL; null where all of it stays. */
      staysMl: number | null;
      share: number | null;
      /** Where water still stood under it and was poured off, so much is enough; null where none may stand. */
      ifStoodMl: number | null;
      /** Why now: null for the whole time in light. */
      why: WhyWater | null;
      how: How;
      /** How many times a day a mat is poured through, whatever it holds; 0 for as it dries. */
      timesADay: 0 | 1 | 2;
      feed: Feed | null;
      /** 3 % peroxide to add, mL; to a litre where `waterMl` is null. */
      peroxideMl: number;
    }
  /** With something of the household's own, by its name. */
  | { kind: 'spray'; name: string; waterMl: number; timesADay: 1 | 2 }
  | { kind: 'turn' }
  | { kind: 'air'; drivers: readonly MouldDriver[] }
  | { kind: 'dry' }
  | {
      kind: 'cut';
      tool: Method['cutting'];
      taking: Method['taking'];
      /** Of what stands; 0 where nothing is promised any more. */
      expectedG: number;
      /** Of its area that is cut already. */
      cutShare: number;
      closesAt: Millis;
      /** Its window has closed. */
      past: boolean;
      /** Somebody saw it open when it was last checked. */
      seen: boolean;
      /** And it can hardly be otherwise: before that it may be ready. */
      sure: boolean;
    }
  | { kind: 'wash'; washing: Method['washing'] }
  | { kind: 'keep'; minD: number; maxD: number; keepAtC: number }
  /** An emptied container, back to the shelf. */
  | { kind: 'clean'; steps: readonly Cleaning[]; compost: boolean };

export type BodyOf<K extends StepKind> = Extract<StepBody, { kind: K }>;

/** One step with when it is expected to be done. */
export interface Step {
  body: StepBody;
  from: Millis;
  until: Millis;
}

/** Whether a step brings a tray to light that stands where there is none. */
export const leavesDark = (body: StepBody): boolean =>
  (body.kind === 'light' || (body.kind === 'uncover' && body.to === 'light')) && body.where === 'dark';

export const isBenchStep = (kind: StepKind): kind is BenchStep =>
  (BENCH_STEPS as readonly StepKind[]).includes(kind);
