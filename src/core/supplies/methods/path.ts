import type { Crop } from '../../crops/crop.ts';
import { isGrass, traitsOf } from '../../crops/traits.ts';
import { hasPool, isStraightIn } from '../media/below.ts';
import type { MediumKind } from '../media/medium.ts';
import type { Method } from './method.ts';

/** From which mark on a sowing stands in light; null for crops kept dark to the end. */
export type LightFrom = 'sown' | 'rooted' | 'lightReady' | null;

/** What lies over seed from sowing until it has rooted; a clear lid lets light through. */
export type CoverKind = 'none' | 'clear' | 'lid' | 'stacked' | 'weight';

/** What one crop goes through under one method. */
export interface Path {
  cover: CoverKind;
  /** The layer that is strewn on the seed itself. */
  seedCover: 'none' | 'medium' | 'vermiculite';
  /** How thick, in cm; 0 for none. */
  seedCoverCm: number;
  /** Weight on the seed in g per cm2, on the uppermost of a stack; 0 where nothing presses. */
  pressGCm2: number;
  /** What it bears at least and at most, g per cm2. */
  bearsGCm2: readonly [least: number, most: number];
  /** It lies under a lid alone until it has rooted, and is pressed then. */
  pressesLate: boolean;
  /** Days that its kind of seed stays covered once it has rooted. */
  pressedD: number;
  /** How many days more the crop in the other half needs to root; 0 for a crop on its own. */
  besideD: number;
  /** Whether a dark, domed stage follows rooting. */
  blackout: boolean;
  /** How many days that lasts; null for until the stems are even. */
  domeDays: number | null;
  lightFrom: LightFrom;
  /** How often seed is misted until it has rooted. */
  mists: 'never' | 'daily' | 'twice';
}

/** Whoever presses late does so for a day or two (starting figure). */
const LATE_PRESSED_D = 1.5;

/** Days that the weight or lid stays on once it has rooted; pressed late, from then on. */
export const coveredOnD = ({ pressedD, pressesLate }: Path): number =>
  Math.max(pressedD, pressesLate ? LATE_PRESSED_D : 0);

/** How thick a layer on seed is, in cm (starting figures). */
const LAYER_CM = { none: 0.3, thin: 0.3, full: 0.8 } as const;

/** Why an answer of a method is not what happens to a crop. */
export type WhyNot =
  | 'needs-light'
  | 'needs-dark'
  | 'stays-dark'
  | 'grass'
  | 'even-at-once'
  | 'open'
  | 'gel'
  | 'gel-never-wet'
  | 'clear'
  | 'bears-none'
  | 'layer'
  | 'must-cover'
  | 'not-disinfected'
  | 'no-reservoir'
  | 'reservoir'
  | 'pool'
  | 'bare-tray'
  | 'hulls';

/** An answer that is not obeyed, and why: nothing that a grower chose may stay lit and do nothing. */
export interface Unheeded {
  question:
    | 'germinationWater'
    | 'firstWater'
    | 'seedCover'
    | 'pressing'
    | 'darkness'
    | 'lightWater'
    | 'feed'
    | 'disinfect';
  why: WhyNot;
}

/** How a crop goes under a method, with the answers that it cannot obey. */
interface Way {
  path: Path;
  unheeded: Unheeded[];
}

/** The way of a crop under a method, on a medium. */
export const pathOf = (crop: Crop, method: Method, medium: MediumKind): Path =>
  wayOf(crop, method, medium).path;

/**
 * Answers of a method that this crop, in this container, does not obey.
 * @param on what it stands on, and whether the container has a reservoir of its own
 */
export function unheeded(
  crop: Crop,
  method: Method,
  on: { medium: MediumKind; reservoir: boolean }
): Unheeded[] {
  const { path, unheeded } = wayOf(crop, method, on.medium);
  const found = [...unheeded];
  const { lightFrom } = path;
  const below = on.medium === 'mesh' || on.reservoir;
  if (isStraightIn(on.medium) && method.firstWater !== 'before-seed')
    found.push({ question: 'firstWater', why: on.medium === 'mesh' ? 'reservoir' : 'bare-tray' });
  else if (crop.gelSeed && method.firstWater === 'after-seed')
    found.push({ question: 'firstWater', why: 'gel' });
  if (below && method.lightWater !== 'below') found.push({ question: 'lightWater', why: 'reservoir' });
  else if (hasPool(on.medium) && method.lightWater !== 'below')
    found.push({ question: 'lightWater', why: 'pool' });
  if (method.feed !== 'none' && lightFrom === null) found.push({ question: 'feed', why: 'stays-dark' });
  else if (method.feed.startsWith('reservoir') && !below)
    found.push({ question: 'feed', why: 'no-reservoir' });
  if (method.disinfect !== 'none' && crop.gelSeed)
    found.push({ question: 'disinfect', why: 'gel-never-wet' });
  else if (method.disinfect !== 'none' && crop.disinfect === 'no')
    found.push({ question: 'disinfect', why: 'not-disinfected' });
  return found;
}

/**
 * Seed that germinates in light lies bare under a clear lid; grasses sprout in the open; what bears no weight gets a lid;
 * seed that must lie dark keeps its lid until it has rooted; maize shoots never see light; in a bare tray nothing lies
 * open. Everything else is as the method has it, and what it cannot have is named.
 */
function wayOf(crop: Crop, method: Method, medium: MediumKind): Way {
  const unheeded: Unheeded[] = [];
  const not = (question: Unheeded['question'], why: WhyNot) => void unheeded.push({ question, why });
  const traits = traitsOf(crop);
  const inLight = crop.germinationLight === 'light';
  const grass = isGrass(crop);
  const bare = medium === 'none';
  const open = grass || (method.darkness === 'none' && crop.germinationLight === 'either');
  const seedCover = layerOf(crop, method, not);
  const mists = mistsOf(
    method,
    open && !bare
      ? 'open'
      : bare
        ? 'bare-tray'
        : inLight
          ? 'clear'
          : crop.gelSeed
            ? 'gel'
            : traits.pressedD > 0
              ? 'hulls'
              : traits.staysDark
                ? 'stays-dark'
                : null,
    not
  );
  const base = {
    seedCover,
    seedCoverCm: seedCover === 'none' ? 0 : LAYER_CM[crop.cover],
    mists,
    pressedD: 0,
    besideD: 0
  };
  if (inLight || open) {
    if (open && bare) not('darkness', 'bare-tray');
    else if (method.darkness !== 'none') not('darkness', inLight ? 'needs-light' : 'grass');
    if (method.pressing !== 'none') not('pressing', inLight ? 'needs-light' : grass ? 'grass' : 'open');
    const nothing = {
      pressGCm2: 0,
      bearsGCm2: [0, 0],
      pressesLate: false,
      blackout: false,
      domeDays: null,
      lightFrom: 'sown'
    } as const;
    return { path: { ...base, ...nothing, cover: inLight || bare ? 'clear' : 'none' }, unheeded };
  }
  const pressing = pressingFor(crop, method, seedCover, not);
  const presses = pressing !== 'none';
  const cover: CoverKind = pressing === 'none' || pressing === 'late' ? 'lid' : pressing;
  const pressGCm2 = presses ? (crop.pressMinGCm2 + crop.pressMaxGCm2) / 2 : 0;
  const bearsGCm2 = [crop.pressMinGCm2, crop.pressMaxGCm2] as const;
  const dark = {
    ...base,
    cover,
    pressGCm2,
    bearsGCm2,
    pressesLate: pressing === 'late',
    pressedD: traits.pressedD
  };
  if (traits.staysDark) {
    if (method.darkness !== 'dome') not('darkness', 'stays-dark');
    return { path: { ...dark, blackout: true, domeDays: null, lightFrom: null }, unheeded };
  }
  const stretches = crop.lightReadyD21 > crop.rootedD21;
  if (method.darkness === 'none') not('darkness', 'needs-dark');
  if (method.darkness === 'dome' && !stretches) not('darkness', 'even-at-once');
  const blackout = method.darkness === 'dome' && stretches;
  return {
    path: {
      ...dark,
      blackout,
      domeDays: blackout ? method.domeDays : null,
      lightFrom: blackout ? 'lightReady' : 'rooted'
    },
    unheeded
  };
}

type Not = (question: Unheeded['question'], why: WhyNot) => void;

/** A layer that was chosen is strewn on any seed but what germinates in light; deep seed has one under any method. */
function layerOf(crop: Crop, { seedCover }: Method, not: Not): Path['seedCover'] {
  const asked = seedCover === 'bare' ? 'none' : seedCover;
  if (crop.germinationLight === 'light') {
    if (asked !== 'none') not('seedCover', 'needs-light');
    return 'none';
  }
  if (crop.cover === 'full' && asked === 'none') {
    not('seedCover', 'must-cover');
    return 'medium';
  }
  return asked;
}

/** What lies open or in nothing, gels, sheds hulls or germinates in light is misted by any method; maize shoots are by none. */
function mistsOf(
  { germinationWater }: Method,
  why: 'open' | 'clear' | 'gel' | 'hulls' | 'bare-tray' | 'stays-dark' | null,
  not: Not
): Path['mists'] {
  const asked = germinationWater === 'shut' ? 'never' : germinationWater;
  if (why === null) return asked;
  const then =
    why === 'open' ? 'twice' : why === 'stays-dark' ? 'never' : asked === 'never' ? 'daily' : asked;
  if (then !== asked) not('germinationWater', why);
  return then;
}

/** A layer that the method adds to seed sown bare takes the press away; a crop's own layer is pressed. */
function pressingFor(
  crop: Crop,
  { pressing }: Method,
  layer: Path['seedCover'],
  not: Not
): Method['pressing'] {
  if (pressing === 'none') return 'none';
  if (crop.pressMaxGCm2 === 0) {
    not('pressing', 'bears-none');
    return 'none';
  }
  if (layer !== 'none' && crop.cover === 'none') {
    not('pressing', 'layer');
    return 'none';
  }
  return pressing;
}

/**
 * Two crops side by side under one cover: the gentler weight, the thirstier misting, uncovered and in light when the slower is
 * ready.
 * @param besideD days that the other takes longer to root
 */
export function sharedPath(own: Path, other: Path, besideD: number): Path {
  const order: readonly CoverKind[] = ['none', 'clear', 'lid', 'stacked', 'weight'];
  const gentler = Math.min(own.pressGCm2, other.pressGCm2);
  const bearsGCm2 = [0, 1].map((end) =>
    Math.min(own.bearsGCm2[end]!, other.bearsGCm2[end]!)
  ) as unknown as Path['bearsGCm2'];
  const pressed = { pressGCm2: gentler, bearsGCm2 };
  // Seed that needs darkness decides over a lid; weight only where both bear it.
  const covers = [own.cover, other.cover].sort((a, b) => order.indexOf(a) - order.indexOf(b));
  const cover =
    gentler > 0 ? covers[0]! : covers[1] === 'weight' || covers[1] === 'stacked' ? 'lid' : covers[1]!;
  const pressedD = Math.max(own.pressedD, other.pressedD);
  const mists = (['never', 'daily', 'twice'] as const).findLast(
    (one) => own.mists === one || other.mists === one
  )!;
  const pressesLate = gentler > 0 && (own.pressesLate || other.pressesLate);
  const shared = { ...own, cover, ...pressed, pressesLate, pressedD, besideD: Math.max(0, besideD), mists };
  if (own.lightFrom === null || other.lightFrom === null)
    return { ...shared, blackout: true, domeDays: null, lightFrom: null };
  const blackout = own.blackout || other.blackout;
  const counted = own.blackout ? own.domeDays : other.domeDays;
  return {
    ...shared,
    blackout,
    domeDays: blackout ? counted : null,
    lightFrom: cover === 'none' || cover === 'clear' ? 'sown' : blackout ? 'lightReady' : 'rooted'
  };
}
