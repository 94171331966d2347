import type { Symptom } from '../symptoms/symptom.ts';
import type { Heft, Moisture } from '../water/bucket.ts';
import type { Method } from '../supplies/methods/method.ts';
import type { Mark } from '../growth/marks.ts';
import type { Millis } from '../time/zone.ts';

/** Steps done on the bench, each ticked by itself, in the order of the hands. */
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

/** Why a sowing ended without being eaten. */
export const LOSS_REASONS = [
  'mould',
  'damped-off',
  'dried-out',
  'poor-germination',
  'too-late',
  'not-begun',
  'other'
] as const;
export type LossReason = (typeof LOSS_REASONS)[number];

/** How cut greens are kept. What is eaten at once is on the plate, and never in the pantry. */
export const PACKINGS = [
  'cloth-bag',
  'paper-box',
  'pierced-box',
  'open-bag',
  'frozen',
  'juice',
  'frozen-juice',
  'dried',
  'plate'
] as const;
export type Packing = (typeof PACKINGS)[number];

/** Left as cut, washed and spun dry, or packed while still wet. */
export const WASHINGS = ['unwashed', 'washed', 'wet'] as const;
export type Washing = (typeof WASHINGS)[number];

/** How something was cut and packed. */
export interface Handling {
  tool: Method['cutting'];
  washing: Washing;
  packing: Packing;
}

/** Where what is taken out of the pantry goes. */
export const TAKINGS = ['eaten', 'given'] as const;
export type Taking = (typeof TAKINGS)[number];

/** Why something is thrown out of the pantry. */
export const SPOILS = ['slime', 'smell', 'mould', 'wilted', 'too-old', 'too-much', 'other'] as const;
export type Spoil = (typeof SPOILS)[number];

/** What is done to an emptied container before it is free again, in the order of the hands. */
export const CLEANINGS = ['empty', 'scrape', 'reservoir', 'stain-soak', 'wash', 'disinfect', 'dry'] as const;
export type Cleaning = (typeof CLEANINGS)[number];

/** Where roots and medium of an emptied container go. */
export const SPENT_TO = ['compost', 'fodder', 'bin'] as const;
export type SpentTo = (typeof SPENT_TO)[number];

/** The three marks that a look can tell; best and close follow from the opening. */
export const CUES = ['rooted', 'lightReady', 'windowOpen'] as const satisfies readonly Mark[];
export type Cue = (typeof CUES)[number];

/** What happened to a sowing: facts, only ever added. */
export type EventBody =
  /** A step at the bench was done, or begun where it takes its time. */
  | { type: 'prepared'; step: BenchStep }
  | { type: 'soaked' }
  | { type: 'drained' }
  | { type: 'sown'; waterG: number }
  /** What had rooted under a lid was pressed. */
  | { type: 'pressed' }
  /** The weight or lid came off. */
  | { type: 'uncovered' }
  /** It came to light. */
  | { type: 'lit' }
  /** The shade on a sill came off. */
  | { type: 'unshaded' }
  | { type: 'misted'; waterG: number; peroxideMl?: number }
  /** With something of the household's own. */
  | { type: 'sprayed'; name: string; waterG: number }
  /** `through`: poured through a mat and drained, so that it is wet all over; `waterG` is what stayed. */
  | { type: 'watered'; waterG: number; peroxideMl?: number; through?: true }
  /** Watered with feed in it; `feedMl` off the bottle, 0 where nobody has said how much that is. */
  | { type: 'fed'; waterG: number; feedMl: number; peroxideMl?: number; through?: true }
  /** What was to begin begins at another time. */
  | { type: 'put-off'; until: Millis }
  /** The grower chose to keep it covered, which is no evidence of how far it has come. */
  | { type: 'stays-covered'; until: Millis }
  /** A cue was looked for and seen, or not yet. */
  | { type: 'looked'; cue: Cue; reached: boolean }
  | { type: 'felt'; moisture: Moisture }
  | { type: 'lifted'; heft: Heft }
  /** The tray on the scale, with all in it; `full` where it was just watered and has drained. */
  | { type: 'weighed'; grossG: number; full: boolean }
  /** Something was seen that a look can tell. */
  | { type: 'saw'; sight: Symptom }
  | { type: 'turned' }
  | { type: 'aired' }
  | { type: 'moved'; placeId: string }
  /**
   * Weighed with its bowl: grossG less tareG was cut; `share` of the containers' area, over 0 to 1. `pieces` are which
   * cells or strips of it, where somebody said. `again` where all of it was cut and grows again from its stubs. What was
   * cut before anybody asked how it is kept has no `handling`.
   */
  | {
      type: 'cut';
      grossG: number;
      tareG: number;
      share: number;
      last: boolean;
      pieces?: readonly number[];
      again?: boolean;
      handling?: Handling;
    }
  /**
   * What is kept is packed in another way: `amount` of the item `from`, in its unit, comes to `made` of another in
   * that one's; in portions of that size where they are counted.
   */
  | {
      type: 'packed';
      from: string;
      amount: number;
      packing: Exclude<Packing, 'plate'>;
      washing: Washing;
      made: number;
      portion?: number;
    }
  | { type: 'taken'; from: string; amount: number; to: Taking }
  | { type: 'thrown'; from: string; amount: number; reason: Spoil }
  /** `to` where what was tipped or scraped out of it went, where somebody said. */
  | { type: 'cleaned'; step: Cleaning; to?: SpentTo }
  | { type: 'noted'; text: string }
  | { type: 'ended'; reason: LossReason }
  | { type: 'undone'; eventId: string };

export type EventType = EventBody['type'];

/** What a kind of event stands for beyond itself: a new kind has to say all of it. */
interface EventTraits {
  /** Whoever does it stands before the tray. */
  atTray: boolean;
  /** The forecast of the opening may move by it. */
  movesOpening: boolean;
  /** Days or amounts of a plan may move by it: daily care moves none. */
  movesPlan: boolean;
}

const traits = (atTray: boolean, movesOpening: boolean, movesPlan: boolean): EventTraits => ({
  atTray,
  movesOpening,
  movesPlan
});
const CARE = traits(true, true, false);
const STEP = traits(false, true, true);
const PLAN_ONLY = traits(false, false, true);
const NOTHING = traits(false, false, false);

export const EVENT_TRAITS: Readonly<Record<EventType, EventTraits>> = {
  prepared: NOTHING,
  soaked: PLAN_ONLY,
  drained: PLAN_ONLY,
  sown: STEP,
  pressed: STEP,
  uncovered: STEP,
  lit: STEP,
  unshaded: STEP,
  misted: CARE,
  watered: CARE,
  sprayed: CARE,
  fed: CARE,
  'put-off': PLAN_ONLY,
  'stays-covered': STEP,
  looked: traits(true, true, true),
  felt: CARE,
  lifted: CARE,
  weighed: CARE,
  saw: CARE,
  turned: CARE,
  aired: CARE,
  moved: STEP,
  cut: PLAN_ONLY,
  packed: PLAN_ONLY,
  taken: PLAN_ONLY,
  thrown: PLAN_ONLY,
  cleaned: NOTHING,
  noted: NOTHING,
  ended: PLAN_ONLY,
  undone: NOTHING
};

export interface SowingEvent {
  /** Made by whoever recorded it, so that a repeated send is one event. */
  id: string;
  at: Millis;
  by: string | null;
  /** Names the task that was ticked, so that two people ticking it are one doing. */
  taskKey: string | null;
  body: EventBody;
}
