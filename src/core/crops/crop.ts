export type Density = 'sparse' | 'usual' | 'dense';
export type Level = 'low' | 'medium' | 'high';
export type HarvestCue = 'cotyledon' | 'true-leaf' | 'height' | 'tips';

/** The figures of one crop. Durations are days from sowing at a steady 21 degC in good light. */
export interface Crop {
  key: string;
  name: string;
  botanicalName: string;
  family: string;
  thousandSeedWeightG: number;
  germinationPct: number;
  seedsPerCm2: Record<Density, number>;
  soakMinH: number;
  soakBestH: number;
  soakMaxH: number;
  drainH: number;
  gelSeed: boolean;
  disinfect: 'no' | 'optional' | 'advised';
  cover: 'none' | 'thin' | 'full';
  pressMinGCm2: number;
  pressMaxGCm2: number;
  germinationLight: 'dark' | 'light' | 'either';
  baseC: number;
  optimumC: number;
  maximumC: number;
  keepBelowC: number;
  rootedD21: number;
  lightReadyD21: number;
  windowOpenD21: number;
  windowBestD21: number;
  windowCloseD21: number;
  /** Coefficient of variation of durations from one sowing to the next. */
  durationCv: number;
  harvestCue: HarvestCue;
  heightMinCm: number;
  heightMaxCm: number;
  yieldLowGM2: number;
  yieldMidGM2: number;
  yieldHighGM2: number;
  mouldRisk: Level;
  droughtRisk: Level;
  keepsMinD: number;
  keepsMaxD: number;
  /** The warmest that it keeps well at; where the cold blackens leaves, also the coldest. */
  keepAtC: number;
  regrows: boolean;
  note: string;
}

/** Figures that a crop kept from before they were asked for goes by. */
const USUAL = { keepAtC: 5 } satisfies Partial<Crop>;

/** A crop as it was kept, with the usual figure for what it has none of. */
export const completedCrop = (kept: Crop): Crop => ({ ...USUAL, ...kept });

/** Whether the crop's seed wants a soak at all; where it only may have one, `soakMinH` is 0. */
export const isSoaked = (crop: Crop): boolean => crop.soakBestH > 0;

/** Whether it starts late where it was not soaked. */
export const needsSoak = (crop: Crop): boolean => crop.soakMinH > 0;

/** A crop with the soak that was asked for instead of its own; null for its own, 0 for none. Seed that gels has none. */
export function soakedFor(crop: Crop, hours: number | null): Crop {
  if (hours === null || crop.gelSeed) return crop;
  if (hours === 0) return { ...crop, soakMinH: 0, soakBestH: 0, soakMaxH: 0, drainH: 0 };
  return { ...crop, soakMinH: hours, soakBestH: hours, soakMaxH: Math.max(hours, crop.soakMaxH) };
}
