import type { Crop } from './crop.ts';

/** More crops than this in one tray are no mix any more. */
export const MOST_PARTS = 6;

/** One crop of blended seed. */
export interface MixPart {
  cropKey: string;
  /** Share of the area its seed is meant to cover, over 0 to 1; all shares of a mix make 1. */
  areaShare: number;
  seedG: number;
  lotId: string | null;
}

/** A crop and the share of the area it takes in a mix. */
export interface Portion {
  crop: Crop;
  areaShare: number;
}

const most = <T>(values: readonly T[], order: readonly T[]): T =>
  values.reduce((high, value) => (order.indexOf(value) > order.indexOf(high) ? value : high));

const LEVELS = ['low', 'medium', 'high'] as const;

const NEVER_SOAKED = { soakMinH: 0, soakBestH: 0, soakMaxH: 0, drainH: 0 };

/**
 * Blended seed as one crop: what a tray of it does and asks for. It roots and is ready for light with its
 * slowest part; its window opens with the last and closes with the first, so where windows do not meet it
 * hardly opens at all. Figures of amount are weighted by area.
 * @param portions at least one; shares make 1
 */
export function blend(portions: readonly Portion[]): Crop {
  const crops = portions.map(({ crop }) => crop);
  const [first] = crops;
  if (crops.length === 1) return first!;
  const weighted = (of: (crop: Crop) => number): number =>
    portions.reduce((sum, { crop, areaShare }) => sum + of(crop) * areaShare, 0);
  const highest = (of: (crop: Crop) => number): number => Math.max(...crops.map(of));
  const lowest = (of: (crop: Crop) => number): number => Math.min(...crops.map(of));
  const usual = weighted((crop) => crop.seedsPerCm2.usual);
  const thousandSeedWeightG = weighted((crop) => crop.seedsPerCm2.usual * crop.thousandSeedWeightG) / usual;
  // Seed that gels stays dry, whatever it is mixed with.
  const soaked = crops.filter(({ gelSeed }) => !gelSeed);
  const longestSoak = soaked.reduce<typeof NEVER_SOAKED>(
    (long, crop) => (crop.soakBestH > long.soakBestH ? crop : long),
    NEVER_SOAKED
  );
  const windowOpenD21 = highest((crop) => crop.windowOpenD21);
  const windowCloseD21 = Math.max(
    windowOpenD21 + 0.5,
    lowest((crop) => crop.windowCloseD21)
  );
  return {
    key: crops.map(({ key }) => key).join('+'),
    name: crops.map(({ name }, index) => (index === 0 ? name : name.toLowerCase())).join(' and '),
    botanicalName: crops.map(({ botanicalName }) => botanicalName).join(' + '),
    family: crops.every(({ family }) => family === first!.family) ? first!.family : '',
    thousandSeedWeightG,
    germinationPct: weighted((crop) => crop.germinationPct),
    seedsPerCm2: {
      sparse: weighted((crop) => crop.seedsPerCm2.sparse),
      usual,
      dense: weighted((crop) => crop.seedsPerCm2.dense)
    },
    soakMinH: longestSoak.soakMinH,
    soakBestH: longestSoak.soakBestH,
    soakMaxH: longestSoak.soakMaxH,
    drainH: longestSoak.drainH,
    gelSeed: crops.some(({ gelSeed }) => gelSeed),
    disinfect: most(
      crops.map(({ disinfect }) => disinfect),
      ['no', 'optional', 'advised']
    ),
    cover: most(
      crops.map(({ cover }) => cover),
      ['none', 'thin', 'full']
    ),
    pressMinGCm2: lowest((crop) => crop.pressMinGCm2),
    pressMaxGCm2: lowest((crop) => crop.pressMaxGCm2),
    germinationLight: crops.every(({ germinationLight }) => germinationLight === 'light')
      ? 'light'
      : crops.some(({ germinationLight }) => germinationLight === 'dark')
        ? 'dark'
        : 'either',
    baseC: weighted((crop) => crop.baseC),
    optimumC: weighted((crop) => crop.optimumC),
    maximumC: weighted((crop) => crop.maximumC),
    keepBelowC: lowest((crop) => crop.keepBelowC),
    rootedD21: highest((crop) => crop.rootedD21),
    lightReadyD21: highest((crop) => crop.lightReadyD21),
    windowOpenD21,
    windowBestD21: Math.min(
      windowCloseD21,
      Math.max(
        windowOpenD21,
        weighted((crop) => crop.windowBestD21)
      )
    ),
    windowCloseD21,
    durationCv: highest((crop) => crop.durationCv),
    harvestCue: crops.every(({ harvestCue }) => harvestCue === first!.harvestCue)
      ? first!.harvestCue
      : 'cotyledon',
    heightMinCm: lowest((crop) => crop.heightMinCm),
    heightMaxCm: highest((crop) => crop.heightMaxCm),
    yieldLowGM2: weighted((crop) => crop.yieldLowGM2),
    yieldMidGM2: weighted((crop) => crop.yieldMidGM2),
    yieldHighGM2: weighted((crop) => crop.yieldHighGM2),
    mouldRisk: most(
      crops.map(({ mouldRisk }) => mouldRisk),
      LEVELS
    ),
    droughtRisk: most(
      crops.map(({ droughtRisk }) => droughtRisk),
      LEVELS
    ),
    keepsMinD: lowest((crop) => crop.keepsMinD),
    keepsMaxD: lowest((crop) => crop.keepsMaxD),
    // The cold blackens one of them, so all keep where it does not.
    keepAtC: highest((crop) => crop.keepAtC),
    regrows: crops.every(({ regrows }) => regrows),
    note: ''
  };
}
