import type { Crop } from '../../crops/crop.ts';
import { ageAtHeightD21 } from '../../crops/height.ts';
import { leafStageOf } from '../../crops/leafStage.ts';
import { isGrass, traitsOf } from '../../crops/traits.ts';
import { hasPool, isStraightIn } from '../media/below.ts';
import { isLoose, mediumDepthCm, underRimCm, type MediumKind } from '../media/medium.ts';
import { figureOf, type Method } from './method.ts';

/** From when on a sowing stands in light: from a mark, or a counted day; null for crops kept dark to the end. */
export type LightFrom = 'sown' | 'rooted' | 'lightReady' | 'counted' | null;

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
  /** How many days the dome, or a clear lid, stays on once it has rooted; null where they are not counted. */
  domeDays: number | null;
  /** How far its stems stand over the rim as the dome, or a clear lid, comes off, cm; null where it does not go by that. */
  domeCm: number | null;
  /** The same over their medium. */
  domeStemCm: number | null;
  /** The age at which they do by the table, days at 21 degC; null likewise. */
  domeD21: number | null;
  lightFrom: LightFrom;
  /** Days in the dark from sowing on, where they are counted. */
  darkDays: number | null;
  /** Days from sowing on until the shade comes off, where it stands on a sill; null for none. */
  shadeDays: number | null;
  /** How many times a day its mat is poured through; 0 where it is watered as it dries. */
  poursADay: 0 | 1 | 2;
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
  | 'hulls'
  | 'no-dome'
  | 'never-so-high'
  | 'no-sill'
  | 'dark-until-then'
  | 'no-mat'
  | 'not-loose'
  | 'shallow'
  | 'no-leaf-stage';

/** An answer that is not obeyed, and why: nothing that a grower chose may stay lit and do nothing. */
export interface Unheeded {
  question:
    | 'germinationWater'
    | 'firstWater'
    | 'seedCover'
    | 'pressing'
    | 'darkness'
    | 'dome'
    | 'sillLight'
    | 'lightWater'
    | 'matWater'
    | 'mediumDepth'
    | 'leafStage'
    | 'feed'
    | 'disinfect';
  why: WhyNot;
}

/** How a crop goes under a method, with the answers that it cannot obey. */
interface Way {
  path: Path;
  unheeded: Unheeded[];
}

/** A medium is filled up to so far under the rim, cm. */
const FILLED_UP_CM = 0.5;

/**
 * The way of a crop under a method, on a medium.
 * @param rimCm how far the medium lies under the rim
 */
export const pathOf = (crop: Crop, method: Method, medium: MediumKind, rimCm: number = FILLED_UP_CM): Path =>
  wayOf(crop, method, medium, rimCm).path;

/** What decides which answers a crop can obey, besides itself: what it stands on, in and where. */
export interface Surroundings {
  medium: MediumKind;
  /** Whether its container has a reservoir of its own. */
  reservoir: boolean;
  /** How deep its container is, cm; a usual tray where nobody asks for one. */
  depthCm?: number;
  /** The light of the place where it stands in light. */
  light?: 'sill' | 'lamp' | 'dark';
}

/** Answers of a method that this crop, set up like that, does not obey. */
export function unheeded(crop: Crop, method: Method, on: Surroundings): Unheeded[] {
  const { depthCm = USUAL_TRAY_CM } = on;
  const { path, unheeded } = wayOf(
    crop,
    method,
    on.medium,
    underRimCm(on.medium, depthCm, method.mediumDepth)
  );
  const found = [...unheeded, ...standsAgainst(crop, method, on, path)];
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

/** Answers that what it stands on, in and where leaves without effect. */
function standsAgainst(
  crop: Crop,
  method: Method,
  { medium, reservoir, light, depthCm = USUAL_TRAY_CM }: Surroundings,
  path: Path
): Unheeded[] {
  const found: Unheeded[] = [];
  if (method.sillLight === 'shaded') {
    if (path.lightFrom === null) found.push({ question: 'sillLight', why: 'stays-dark' });
    else if (light !== undefined && light !== 'sill') found.push({ question: 'sillLight', why: 'no-sill' });
    else if (darkUntilD21(crop, path) >= path.shadeDays!)
      found.push({ question: 'sillLight', why: 'dark-until-then' });
  }
  if (method.matWater !== 'as-dry' && path.poursADay === 0)
    found.push({ question: 'matWater', why: reservoir ? 'reservoir' : 'no-mat' });
  const deep = mediumDepthCm(medium, depthCm, method.mediumDepth);
  if (method.mediumDepth !== 'usual') {
    if (!isLoose(medium)) found.push({ question: 'mediumDepth', why: 'not-loose' });
    else if (deep === mediumDepthCm(medium, depthCm)) found.push({ question: 'mediumDepth', why: 'shallow' });
  }
  if (method.leafStage !== 'usual' && leafStageOf(crop) === null)
    found.push({ question: 'leafStage', why: 'no-leaf-stage' });
  return found;
}

/**
 * Seed that germinates in light lies bare under a clear lid; grasses sprout in the open; what bears no weight gets a lid;
 * seed that must lie dark keeps its lid until it has rooted; maize shoots never see light; in a bare tray nothing lies
 * open. Everything else is as the method has it, and what it cannot have is named.
 */
function wayOf(crop: Crop, method: Method, medium: MediumKind, rimCm: number): Way {
  const unheeded: Unheeded[] = [];
  const not = (question: Unheeded['question'], why: WhyNot) => void unheeded.push({ question, why });
  const traits = traitsOf(crop);
  const inLight = crop.germinationLight === 'light';
  const grass = isGrass(crop);
  const bare = medium === 'none';
  const darkDays = darkDaysFor(crop, method, not);
  const open =
    darkDays === null && (grass || (method.darkness === 'none' && crop.germinationLight === 'either'));
  const dome = domeFor(crop, method, rimCm, open || inLight ? 1 : LATEST_DARK);
  // A clear lid that stays on keeps the air of slow, warm crops humid.
  const humid = (open || inLight) && !grass && typeof dome !== 'string' ? dome : null;
  const seedCover = layerOf(crop, method, not);
  const base = {
    seedCover,
    seedCoverCm: seedCover === 'none' ? 0 : LAYER_CM[crop.cover],
    mists: mistsOf(method, whyMisted(crop, { open, bare, clear: humid !== null }), not),
    pressedD: 0,
    besideD: 0,
    ...NO_DOME,
    darkDays,
    shadeDays: method.sillLight === 'shaded' ? figureOf(method, 'shadeDays') : null,
    poursADay: poursADay(medium, method.matWater)
  };
  if (inLight || open) {
    if (open && bare) not('darkness', 'bare-tray');
    else if (inLight && method.darkness !== 'none') not('darkness', 'needs-light');
    else if (grass && method.darkness !== 'none') not('darkness', 'grass');
    if (method.pressing !== 'none')
      not('pressing', inLight ? 'needs-light' : grass ? 'grass' : humid ? 'clear' : 'open');
    if (method.dome !== 'even' && humid === null) not('dome', grass ? 'grass' : 'never-so-high');
    const nothing = {
      pressGCm2: 0,
      bearsGCm2: [0, 0],
      pressesLate: false,
      blackout: false,
      lightFrom: 'sown'
    } as const;
    const cover = inLight || bare || humid !== null ? 'clear' : 'none';
    return { path: { ...base, ...nothing, ...humid, cover }, unheeded };
  }
  const pressing = grass ? 'none' : pressingFor(crop, method, seedCover, not);
  if (grass && method.pressing !== 'none') not('pressing', 'grass');
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
    if (method.dome !== 'even') not('dome', 'stays-dark');
    return { path: { ...dark, blackout: true, lightFrom: null }, unheeded };
  }
  if (darkDays !== null) {
    if (method.dome !== 'even') not('dome', 'no-dome');
    return {
      path: { ...dark, blackout: darkDays > crop.rootedD21 + traits.pressedD, lightFrom: 'counted' },
      unheeded
    };
  }
  const stretches = crop.lightReadyD21 > crop.rootedD21;
  if (method.darkness === 'none') not('darkness', 'needs-dark');
  if (method.darkness === 'dome' && !stretches) not('darkness', 'even-at-once');
  const blackout = method.darkness === 'dome' && stretches;
  if (method.dome !== 'even' && (!blackout || dome === 'never-so-high'))
    not('dome', blackout ? 'never-so-high' : 'no-dome');
  return {
    path: {
      ...dark,
      ...(blackout && typeof dome !== 'string' ? dome : {}),
      blackout,
      lightFrom: blackout ? 'lightReady' : 'rooted'
    },
    unheeded
  };
}

/** A usual tray, cm. */
const USUAL_TRAY_CM = 5;
const POURS_A_DAY = { 'as-dry': 0, 'poured-once': 1, 'poured-twice': 2 } as const;

/** How many times a day a medium is poured through: a mat or paper that is lifted for it, as its method says; nothing else. */
export const poursADay = (medium: MediumKind, answer: Method['matWater']): Path['poursADay'] =>
  medium === 'hemp-mat' || medium === 'paper' ? POURS_A_DAY[answer] : 0;

type DomeUntil = Pick<Path, 'domeDays' | 'domeCm' | 'domeStemCm' | 'domeD21'>;
export const NO_DOME: DomeUntil = { domeDays: null, domeCm: null, domeStemCm: null, domeD21: null };

/** Stems are left in the dark for no longer than this share of the way to the opening (starting figure). */
const LATEST_DARK = 0.8;

/**
 * When a dome comes off; null for by the look of the stems, for as long as the crop usually takes.
 * @param latest share of the way to the opening by which stems have to stand so high
 */
function domeFor(
  crop: Crop,
  method: Method,
  rimCm: number,
  latest: number
): DomeUntil | null | 'never-so-high' {
  if (method.dome === 'even') return null;
  if (method.dome === 'days') return { ...NO_DOME, domeDays: figureOf(method, 'domeDays') };
  const domeCm = figureOf(method, 'domeCm');
  const domeStemCm = rimCm + domeCm;
  const domeD21 = ageAtHeightD21(crop, domeStemCm);
  return domeD21 <= latest * crop.windowOpenD21
    ? { ...NO_DOME, domeCm, domeStemCm, domeD21 }
    : 'never-so-high';
}

/** Days in the dark that were chosen, for a crop that can have them; seed that must lie dark lies so until it has rooted. */
function darkDaysFor(crop: Crop, method: Method, not: Not): number | null {
  if (method.darkness !== 'days' || crop.germinationLight === 'light' || traitsOf(crop).staysDark)
    return null;
  const days = figureOf(method, 'darkDays');
  if (crop.germinationLight === 'dark' && days < crop.rootedD21) {
    not('darkness', 'needs-dark');
    return null;
  }
  return days;
}

/** When it comes to light by the table, days at 21 degC. */
function darkUntilD21(crop: Crop, { lightFrom, darkDays, domeDays, domeD21, pressedD }: Path): number {
  switch (lightFrom) {
    case 'counted':
      return darkDays!;
    case 'rooted':
      return crop.rootedD21 + pressedD;
    case 'lightReady':
      return domeD21 ?? (domeDays === null ? crop.lightReadyD21 : crop.rootedD21 + pressedD + domeDays);
    default:
      return 0;
  }
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

/** Why seed is misted in another way than its method says; null for as the method says. */
function whyMisted(
  crop: Crop,
  { open, bare, clear }: { open: boolean; bare: boolean; clear: boolean }
): 'open' | 'clear' | 'gel' | 'hulls' | 'bare-tray' | 'stays-dark' | null {
  if (bare) return 'bare-tray';
  if (clear || crop.germinationLight === 'light') return 'clear';
  if (open) return 'open';
  if (crop.gelSeed) return 'gel';
  const { pressedD, staysDark } = traitsOf(crop);
  return pressedD > 0 ? 'hulls' : staysDark ? 'stays-dark' : null;
}

/** What lies open or in nothing, gels, sheds hulls or germinates in light is misted by any method; maize shoots are by none. */
function mistsOf({ germinationWater }: Method, why: ReturnType<typeof whyMisted>, not: Not): Path['mists'] {
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
