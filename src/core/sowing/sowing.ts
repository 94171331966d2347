import { areaCm2, type Container } from '../supplies/containers/container.ts';
import { cropOf } from '../crops/library.ts';
import { needsSoak, soakedFor, type Crop } from '../crops/crop.ts';
import { cutAtStage, leafStageOf, type LeafStage } from '../crops/leafStage.ts';
import { mediumDepthCm, underRimCm, type MediumKind } from '../supplies/media/medium.ts';
import type { Method } from '../supplies/methods/method.ts';
import { pathOf, type Path } from '../supplies/methods/path.ts';
import { sharedPath } from '../supplies/methods/sharedPath.ts';
import { blend, type MixPart } from '../crops/blend.ts';
import type { Millis } from '../time/zone.ts';

/** What nobody said of a past sowing, so that Brote assumed it: nothing that rests on it is shown or learned from. */
export const ASSUMED = ['container', 'seed'] as const;
export type Assumed = (typeof ASSUMED)[number];

/** What was decided when a sowing was planned; it does not change afterwards. */
export interface SowingSetup {
  id: string;
  /** The crop; of blended seed, its first. */
  cropKey: string;
  /** The parts of blended seed; null for one crop. */
  mix: readonly MixPart[] | null;
  container: Container;
  count: number;
  /** Share of the containers that it takes: 0.5 for half of a tray of two halves. */
  areaShare: number;
  medium: MediumKind;
  /** The household's own medium, where it is one. */
  mediumId: string | null;
  /** As it was when the sowing was planned: changing a method later does not change what stands. */
  method: Method;
  placeId: string;
  /** Of what is sown in the dark, where it is carried as it comes to light; null where that was not said. */
  lightPlaceId: string | null;
  seedsPerCm2: number;
  germinationPct: number | null;
  seedG: number;
  lotId: string | null;
  /** Null for seed that is sown dry. */
  soakStartAt: Millis | null;
  soakEndAt: Millis | null;
  sowAt: Millis;
  /** Hours of soaking that were asked for, where they are not the crop's own; 0 for a soak left out. */
  soakH: number | null;
  /** Trays in a stack, where the grower chose how many; null for as many as the seed at the bottom bears. */
  stackOf: number | null;
  /** The number that its first container bears, where others alike stand beside it; null where there is no other. */
  trayNo: number | null;
  /** The container it shares with another crop beside it; null where it has its containers to itself. */
  half: { trayId: string; besideKey: string } | null;
  /** Absent where all of it was said. */
  assumed?: readonly Assumed[];
}

/** Seed of one crop in a sowing. */
export interface SeedPart {
  crop: Crop;
  seedG: number;
  lotId: string | null;
  /** What this kind of the crop is called, where somebody named it. */
  variety?: string;
}

/** A setup with what follows from it alone. */
export interface Sowing {
  setup: SowingSetup;
  /** With the soak that was asked for, and cut at the stage that its method names. */
  crop: Crop;
  /** The stage of its leaves that it is cut at where nobody chooses another. */
  usualStage: LeafStage | null;
  /** Whether it starts late without a soak. */
  needsSoak: boolean;
  /** What is weighed for it, one line a lot. */
  parts: readonly SeedPart[];
  method: Method;
  path: Path;
  areaCm2: number;
  mediumDepthCm: number;
}

/** A household's own crops by key; one with a library crop's key stands in for it. */
export type OwnCrops = ReadonlyMap<string, Crop>;

const NONE: OwnCrops = new Map();

/**
 * The crop of a key, the household's own figures before the library's.
 * @throws Error for a key that neither has
 */
const cropAmong = (own: OwnCrops, key: string): Crop => own.get(key) ?? cropOf(key);

/**
 * The crop that a sowing is of: the household's own figures before the library's, blended seed as one.
 * @throws Error for a key that neither has
 */
export function cropOfSowing(
  { cropKey, mix }: Pick<SowingSetup, 'cropKey' | 'mix'>,
  own: OwnCrops = NONE,
  taking: Method['taking'] = 'whole'
): Crop {
  if (mix === null) return cropAmong(own, cropKey);
  return blend(
    mix.map((part) => ({ crop: cropAmong(own, part.cropKey), areaShare: part.areaShare })),
    taking
  );
}

/** The way of a crop that shares its container and its cover with another. */
export const besidePath = (crop: Crop, path: Path, beside: Crop, set: SetUp): Path =>
  sharedPath(path, pathIn(cropAsSet(beside, set), set), beside.rootedD21 - crop.rootedD21);

/** What of a setup decides the way of any crop. */
export type SetUp = Pick<SowingSetup, 'method' | 'medium' | 'container'>;

/** The way of a crop in a container. */
export const pathIn = (crop: Crop, { method, medium, container }: SetUp): Path =>
  pathOf(crop, method, medium, underRimCm(medium, container.depthCm, method.mediumDepth));

/** A crop as it is set up: with the soak that was asked for, and cut at the stage that its method names. */
export const cropAsSet = (
  crop: Crop,
  { method, soakH = null }: { method: Method; soakH?: number | null }
): Crop => soakedFor(cutAtStage(crop, method.leafStage === 'usual' ? null : method.leafStage), soakH);

/** @throws Error where the setup names a crop that neither the library nor the household has. */
export function sowingOf(setup: SowingSetup, own: OwnCrops = NONE): Sowing {
  const asFigured = cropOfSowing(setup, own, setup.method.taking);
  const crop = cropAsSet(asFigured, setup);
  const { mix, half, method, medium } = setup;
  const path = pathIn(crop, setup);
  return {
    setup,
    crop,
    usualStage: leafStageOf(asFigured),
    needsSoak: needsSoak(asFigured),
    parts: mix?.map(({ cropKey, seedG, lotId, variety }) => ({
      crop: cropAmong(own, cropKey),
      seedG,
      lotId,
      ...(variety ? { variety } : {})
    })) ?? [{ crop, seedG: setup.seedG, lotId: setup.lotId }],
    method,
    path: half ? besidePath(crop, path, cropAmong(own, half.besideKey), setup) : path,
    areaCm2: areaCm2(setup.container) * setup.count * setup.areaShare,
    mediumDepthCm: mediumDepthCm(medium, setup.container.depthCm, method.mediumDepth)
  };
}
