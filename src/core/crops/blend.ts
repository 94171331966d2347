import type { Crop } from './crop.ts';
import { FIGURE_KEYS, FIGURES, type Figures, type NumberKey } from './figures.ts';

/** More crops than this in one tray are no mix any more. */
export const MOST_PARTS = 6;

/** One crop of blended seed. */
export interface MixPart {
  cropKey: string;
  /** Share of the area its seed is meant to cover, over 0 to 1; all shares of a mix make 1. */
  areaShare: number;
  seedG: number;
  lotId: string | null;
  /** What this kind of the crop is called, where somebody named it. */
  variety?: string;
}

/** The keys of the crops that a crop's key stands for: several of a blend. */
export const cropKeysOf = (key: string): string[] => key.split(JOIN);

/** The key of crops blended, in the order of their parts. */
export const blendKey = (cropKeys: readonly string[]): string => cropKeys.join(JOIN);

/** The key that what a blend teaches goes by: its own, or its crop's where all of it is of one. */
export const learnsAs = (key: string): string => {
  const crops = new Set(cropKeysOf(key));
  return crops.size === 1 ? [...crops][0]! : key;
};

/** No crop's own key has it. */
const JOIN = '+';

/** Between the names of crops that are blended; nobody types it. */
export const NAMES_JOIN = '\u00a0+\u00a0';

/** The names of the crops in a blend's name: a single crop's own name. */
export const blendedNames = (name: string): string[] => name.split(NAMES_JOIN);

/** A crop and the share of the area it takes in a mix. */
export interface BlendPortion {
  crop: Crop;
  areaShare: number;
}

/**
 * Blended seed as one crop: what a tray of it does and asks for, figure by figure as the registry has it. It roots and
 * is ready for light with its slowest part. Cut at once, its window is open while all of them are; taken over days, from the first
 * that opens to the last that closes.
 * @param portions at least one; shares make 1
 */
export function blend(portions: readonly BlendPortion[], taking: 'whole' | 'strip' = 'whole'): Crop {
  const crops = portions.map(({ crop }) => crop);
  const shares = portions.map(({ areaShare }) => areaShare);
  const [first] = crops;
  if (crops.length === 1) return first!;
  const byArea = (of: (crop: Crop) => number): number =>
    crops.reduce((sum, crop, index) => sum + of(crop) * shares[index]!, 0);
  const of = (figure: string): number[] =>
    crops.map((crop) =>
      figure === 'usual' ? crop.seedsPerCm2.usual : (crop[figure as NumberKey] as number)
    );
  const gels = crops.map(({ gelSeed }) => gelSeed);
  const figures = Object.fromEntries(
    FIGURE_KEYS.map((key) => {
      const rule = FIGURES[key].blend as (parts: unknown) => unknown;
      return [
        key,
        rule({ values: crops.map((crop) => crop[key]), shares, of, gels, overDays: taking === 'strip' })
      ];
    })
  ) as unknown as Figures;
  return {
    ...figures,
    key: blendKey(crops.map(({ key }) => key)),
    name: unique(crops.map(({ name }) => name)).join(NAMES_JOIN),
    botanicalName: unique(crops.map(({ botanicalName }) => botanicalName)).join(' + '),
    family: crops.every(({ family }) => family === first!.family) ? first!.family : '',
    seedsPerCm2: {
      sparse: byArea((crop) => crop.seedsPerCm2.sparse),
      usual: byArea((crop) => crop.seedsPerCm2.usual),
      dense: byArea((crop) => crop.seedsPerCm2.dense)
    },
    note: ''
  };
}

const unique = (names: readonly string[]): string[] => [...new Set(names)];
