import { DENSITIES, type Crop, type Density } from './crop.ts';
import { FIGURES, NUMBER_KEYS, type NumberFigure, type NumberKey } from './figures.ts';
import type { WhyRefused } from './names/lexicon.ts';
import { verdictOnPlant } from './names/verdict.ts';

/** What is wrong with a crop, and with which of its fields. */
export type CropProblem =
  | { field: 'name'; code: 'nameless' }
  | { field: 'name'; code: 'refused'; why: WhyRefused }
  | { field: NumberKey; code: 'out-of-bounds' }
  | { field: NumberKey; code: 'falls'; after: NumberKey; strictly: boolean }
  | { field: `seedsPerCm2.${Density}`; code: 'density' | 'densities-fall' };

const figureOf = (key: NumberKey): NumberFigure => FIGURES[key];

/** What is wrong with a crop; nothing where all is well. At most one problem a field. */
export function checkCrop(crop: Crop): CropProblem[] {
  const wrong = new Map<string, CropProblem>();
  const say = (problem: CropProblem) => {
    if (!wrong.has(problem.field)) wrong.set(problem.field, problem);
  };
  if (crop.name.trim() === '') say({ field: 'name', code: 'nameless' });
  const verdict = verdictOnPlant(crop);
  if (verdict.kind === 'refused') say({ field: 'name', code: 'refused', why: verdict.why });
  for (const field of NUMBER_KEYS) {
    const [low, high] = figureOf(field).bounds;
    if (!(crop[field] >= low && crop[field] <= high)) say({ field, code: 'out-of-bounds' });
  }
  for (const density of DENSITIES)
    if (!(crop.seedsPerCm2[density] > 0 && crop.seedsPerCm2[density] <= MOST_SEEDS_CM2))
      say({ field: `seedsPerCm2.${density}`, code: 'density' });
  const { sparse, usual, dense } = crop.seedsPerCm2;
  if (!(sparse <= usual && usual <= dense)) say({ field: 'seedsPerCm2.usual', code: 'densities-fall' });
  for (const field of NUMBER_KEYS) {
    const { after: before, strictly = false } = figureOf(field);
    if (before === undefined) continue;
    const after = before as NumberKey;
    if (strictly ? crop[field] <= crop[after] : crop[field] < crop[after])
      say({ field, code: 'falls', after, strictly });
  }
  return [...wrong.values()];
}

/** No seed lies closer than this. */
export const MOST_SEEDS_CM2 = 60;

/** The crop of a list whose figures are nearest to hand for one of that family or name; the first otherwise. */
export function nearestCrop(crops: readonly Crop[], botanicalName: string, family: string): Crop {
  const genus = botanicalName.trim().split(/\s+/)[0]?.toLowerCase() ?? '';
  return (
    crops.find((crop) => genus !== '' && crop.botanicalName.toLowerCase().startsWith(genus)) ??
    crops.find((crop) => family !== '' && crop.family.toLowerCase() === family.trim().toLowerCase()) ??
    crops[0]!
  );
}
