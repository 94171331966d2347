import type { Crop } from '../crops/crop.ts';
import type { LightFrom } from '../window/forecast.ts';
import type { Method } from './method.ts';

/** What one crop goes through under one method. */
export interface Path {
  /** What lies over the seed from sowing until it has rooted. */
  cover: 'none' | 'lid' | 'stacked' | 'weight';
  /** What is strewn on the seed itself. */
  seedCover: 'none' | 'medium' | 'vermiculite';
  /** How thick, in cm; 0 for none. */
  seedCoverCm: number;
  /** Weight on the seed in g per cm2; 0 where nothing presses. */
  pressGCm2: number;
  /** Whether a dark, domed stage follows rooting. */
  blackout: boolean;
  /** How many days that lasts; null for until the stems are even. */
  domeDays: number | null;
  lightFrom: LightFrom;
  /** Whether seed is misted to keep it damp under its cover; gel seed always is, lightly. */
  mists: 'never' | 'daily' | 'twice';
}

/** Crops that stay dark until they are cut. */
const DARK_TO_THE_END = new Set(['maize-shoot']);

/** How thick seed is covered, in cm (starting figures). */
const COVER_CM = { none: 0, thin: 0.3, full: 0.8 } as const;

/**
 * The way of a crop under a method: seed that germinates in light is never covered, grasses need no
 * darkness, a crop that bears no weight gets a lid, seed that must lie dark is covered under any method,
 * and maize shoots never see light.
 */
export function pathOf(crop: Crop, method: Method): Path {
  const seedCover = seedCoverOf(crop, method);
  const base = {
    seedCover,
    seedCoverCm: seedCover === 'none' ? 0 : COVER_CM[crop.cover === 'none' ? 'thin' : crop.cover],
    mists: method.germinationWater === 'shut' ? ('never' as const) : method.germinationWater
  };
  const inLight = {
    cover: 'none',
    pressGCm2: 0,
    blackout: false,
    domeDays: null,
    lightFrom: 'sown'
  } as const;
  if (crop.germinationLight === 'light') return { ...base, ...inLight };
  // No darkness at all is for seed that does not mind; seed that wants it keeps its lid until it has rooted.
  if (method.darkness === 'none' && method.pressing === 'none' && crop.germinationLight === 'either')
    return { ...base, ...inLight };
  const bears = crop.pressMaxGCm2 > 0 && method.pressing !== 'none';
  const cover = !bears ? 'lid' : method.pressing === 'stacked' ? 'stacked' : 'weight';
  const pressGCm2 = cover === 'weight' ? (crop.pressMinGCm2 + crop.pressMaxGCm2) / 2 : 0;
  const dark = { ...base, cover, pressGCm2 } as const;
  if (DARK_TO_THE_END.has(crop.key)) return { ...dark, blackout: true, domeDays: null, lightFrom: null };
  const blackout =
    crop.family !== 'Poaceae' && method.darkness === 'dome' && crop.lightReadyD21 > crop.rootedD21;
  return {
    ...dark,
    blackout,
    domeDays: blackout ? method.domeDays : null,
    lightFrom: blackout ? 'lightReady' : 'rooted'
  };
}

/** Bare seed is pressed instead; seed that wants darkness around it is covered whatever the method says. */
function seedCoverOf(crop: Crop, { seedCover }: Method): Path['seedCover'] {
  if (crop.germinationLight === 'light' || crop.gelSeed) return 'none';
  const asked = seedCover === 'bare' ? 'none' : seedCover;
  if (crop.cover === 'full') return asked === 'none' ? 'medium' : asked;
  return crop.cover === 'thin' ? asked : 'none';
}
