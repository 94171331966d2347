import { FIGURE_KEYS, FIGURES, type Figures } from './figures.ts';

export type Density = 'sparse' | 'usual' | 'dense';
export const DENSITIES = ['sparse', 'usual', 'dense'] as const satisfies readonly Density[];
export type Level = Figures['mouldRisk'];

/** One crop: its names, how thick it is sown, and its figures. */
export interface Crop extends Figures {
  key: string;
  name: string;
  botanicalName: string;
  family: string;
  seedsPerCm2: Record<Density, number>;
  note: string;
}

/** Figures that a crop kept from before they were asked for goes by. */
const USUAL = Object.fromEntries(
  FIGURE_KEYS.flatMap((key) => {
    const figure = FIGURES[key];
    return 'usual' in figure && figure.usual !== undefined ? [[key, figure.usual]] : [];
  })
);

/** A crop as it was kept, with the usual figure for what it has none of. */
export const completedCrop = (stored: Crop): Crop => ({ ...USUAL, ...stored });

/** Whether the crop's seed wants a soak at all; where it only may have one, `soakMinH` is 0. */
export const isSoaked = (crop: Crop): boolean => crop.soakBestH > 0;

/** Whether it starts late where it was not soaked. */
export const needsSoak = (crop: Crop): boolean => crop.soakMinH > 0;

/** How a soak of so many hours stands against what a crop's seed bears; null where it is within that. */
export function judgeSoak(crop: Crop, hours: number): 'gels' | 'needless' | 'short' | 'long' | null {
  if (crop.gelSeed) return hours > 0 ? 'gels' : null;
  if (hours > crop.soakMaxH) return crop.soakMaxH > 0 ? 'long' : 'needless';
  return hours < crop.soakMinH ? 'short' : null;
}

/** A crop with the soak that was asked for instead of its own; null for its own, 0 for none. Seed that gels has none. */
export function soakedFor(crop: Crop, hours: number | null): Crop {
  if (hours === null || crop.gelSeed) return crop;
  if (hours === 0) return { ...crop, soakMinH: 0, soakBestH: 0, soakMaxH: 0, drainH: 0 };
  return { ...crop, soakMinH: hours, soakBestH: hours, soakMaxH: Math.max(hours, crop.soakMaxH) };
}
