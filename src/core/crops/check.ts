import type { Crop } from './crop.ts';
import { refusedWhy } from './refused.ts';

type Figure = { [K in keyof Crop]: Crop[K] extends number ? K : never }[keyof Crop];

/** Bounds of each figure a person may set, and what it is called. */
export const CROP_FIGURES: Partial<
  Record<Figure, readonly [low: number, high: number, name: string, unit: string]>
> = {
  thousandSeedWeightG: [0.01, 1500, 'Weight of 1000 seeds', 'g'],
  germinationPct: [1, 100, 'Usual germination', '%'],
  soakMinH: [0, 48, 'Shortest soak', 'h'],
  soakBestH: [0, 48, 'Best soak', 'h'],
  soakMaxH: [0, 60, 'Longest soak', 'h'],
  drainH: [0, 48, 'Drain', 'h'],
  pressMinGCm2: [0, 30, 'Least weight', 'g/cm²'],
  pressMaxGCm2: [0, 30, 'Most weight', 'g/cm²'],
  baseC: [-5, 20, 'Grows from', '°C'],
  optimumC: [10, 40, 'Fastest at', '°C'],
  maximumC: [20, 50, 'Stops at', '°C'],
  keepBelowC: [5, 45, 'Keep below', '°C'],
  rootedD21: [0.5, 40, 'Rooted', 'days'],
  lightReadyD21: [0.5, 50, 'Ready for light', 'days'],
  windowOpenD21: [1, 90, 'Window opens', 'days'],
  windowBestD21: [1, 100, 'Best', 'days'],
  windowCloseD21: [1, 120, 'Window closes', 'days'],
  durationCv: [0.02, 0.6, 'Varies by', 'share'],
  heightMinCm: [0.5, 60, 'Shortest', 'cm'],
  heightMaxCm: [0.5, 80, 'Tallest', 'cm'],
  yieldLowGM2: [1, 40_000, 'Low yield', 'g/m²'],
  yieldMidGM2: [1, 40_000, 'Usual yield', 'g/m²'],
  yieldHighGM2: [1, 40_000, 'High yield', 'g/m²'],
  keepsMinD: [0, 60, 'Keeps at least', 'days'],
  keepsMaxD: [0, 90, 'Keeps at most', 'days'],
  keepAtC: [0, 20, 'Keeps at', '°C']
};

/** Figures that must not fall, in order. */
const RISING: readonly (readonly Figure[])[] = [
  ['soakMinH', 'soakBestH', 'soakMaxH'],
  ['pressMinGCm2', 'pressMaxGCm2'],
  ['baseC', 'optimumC', 'maximumC'],
  ['rootedD21', 'lightReadyD21', 'windowOpenD21', 'windowBestD21', 'windowCloseD21'],
  ['heightMinCm', 'heightMaxCm'],
  ['yieldLowGM2', 'yieldMidGM2', 'yieldHighGM2'],
  ['keepsMinD', 'keepsMaxD']
];
/** Of these, equal figures are wrong as well: the clock divides by their difference. */
const STRICT = new Set<Figure>(['baseC', 'optimumC', 'maximumC']);

/** Says of each figure of a crop that cannot be what is wrong; empty where all is well. */
export function checkCrop(crop: Crop): Record<string, string> {
  const wrong: Record<string, string> = {};
  const refused = refusedWhy(crop.name, crop.botanicalName, crop.family);
  if (refused) wrong.name = refused;
  if (crop.name.trim() === '') wrong.name = 'Give the crop a name.';
  for (const [figure, [low, high, name, unit]] of Object.entries(CROP_FIGURES)) {
    const value = crop[figure as Figure];
    if (!Number.isFinite(value) || value < low || value > high)
      wrong[figure] = `${name} must lie between ${low} and ${high} ${unit}.`;
  }
  for (const density of ['sparse', 'usual', 'dense'] as const) {
    const value = crop.seedsPerCm2[density];
    if (!(value > 0 && value <= 60))
      wrong[`seedsPerCm2.${density}`] = 'Give seeds per cm², over 0 and up to 60.';
  }
  const { sparse, usual, dense } = crop.seedsPerCm2;
  if (!(sparse <= usual && usual <= dense))
    wrong['seedsPerCm2.usual'] ??= 'Sparse must not be more than usual, nor usual more than dense.';
  for (const order of RISING)
    order.slice(1).forEach((figure, index) => {
      const before = order[index]!;
      const falls = STRICT.has(figure) ? crop[figure] <= crop[before] : crop[figure] < crop[before];
      if (falls)
        wrong[figure] ??=
          `${CROP_FIGURES[figure]![2]} must ${STRICT.has(figure) ? 'be more than' : 'not be less than'} “${CROP_FIGURES[before]![2]}”.`;
    });
  return wrong;
}

/** The crop of a list whose figures are nearest to hand for one of that family or name; the first otherwise. */
export function nearestCrop(crops: readonly Crop[], botanicalName: string, family: string): Crop {
  const genus = botanicalName.trim().split(/\s+/)[0]?.toLowerCase() ?? '';
  return (
    crops.find((crop) => genus !== '' && crop.botanicalName.toLowerCase().startsWith(genus)) ??
    crops.find((crop) => family !== '' && crop.family.toLowerCase() === family.trim().toLowerCase()) ??
    crops[0]!
  );
}
