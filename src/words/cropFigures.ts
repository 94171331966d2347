import type { CropProblem } from '$core/crops/check.ts';
import { MOST_SEEDS_CM2 } from '$core/crops/check.ts';
import {
  FIGURES,
  type FigureGroup,
  type FigureKey,
  type Figures,
  type OneOfKey
} from '$core/crops/figures.ts';
import { REFUSED_WORDS } from './plantNames.ts';

/** What each figure of a crop is called. */
export const FIGURE_NAMES: Record<FigureKey, string> = {
  thousandSeedWeightG: 'Weight of 1000 seeds',
  germinationPct: 'Usual germination',
  soakMinH: 'Shortest soak',
  soakBestH: 'Best soak',
  soakMaxH: 'Longest soak',
  drainH: 'Drain',
  pressMinGCm2: 'Least weight',
  pressMaxGCm2: 'Most weight',
  baseC: 'Grows from',
  optimumC: 'Fastest at',
  maximumC: 'Stops at',
  keepBelowC: 'Keep below',
  rootedD21: 'Rooted',
  lightReadyD21: 'Ready for light',
  windowOpenD21: 'Window opens',
  windowBestD21: 'Best',
  windowCloseD21: 'Window closes',
  durationCv: 'Varies by',
  heightMinCm: 'Shortest',
  heightMaxCm: 'Tallest',
  yieldLowGM2: 'Low yield',
  yieldMidGM2: 'Usual yield',
  yieldHighGM2: 'High yield',
  keepsMinD: 'Keeps at least',
  keepsMaxD: 'Keeps at most',
  keepAtC: 'Keeps at',
  gelSeed: 'Seed turns to gel when wet',
  disinfect: 'Disinfecting',
  cover: 'Cover the seed',
  germinationLight: 'Sprouts in',
  harvestCue: 'Cut when',
  mouldRisk: 'Mould risk',
  droughtRisk: 'Hurt by drought',
  regrows: 'Grows again'
};

/** What a group of figures is headed with. */
export const GROUP_NAMES: Record<FigureGroup, string> = {
  seed: 'Seed',
  soak: 'Soak',
  sowing: 'Sowing',
  days: 'Days from sowing, at a steady 21 °C in good light',
  warmth: 'Warmth',
  harvest: 'Harvest'
};

/** The answers of a figure that has only some. */
export const ANSWER_NAMES: { [K in OneOfKey]: Record<Figures[K], string> } = {
  disinfect: { no: 'not needed', optional: 'as you wish', advised: 'advised' },
  cover: { none: 'no', thin: 'thinly', full: 'fully' },
  germinationLight: { dark: 'the dark', light: 'light', either: 'either' },
  harvestCue: {
    cotyledon: 'seed leaves are open',
    'true-leaf': 'the first true leaf shows',
    'third-leaf': 'the third true leaf shows',
    height: 'tall enough',
    tips: 'tips are long'
  },
  mouldRisk: { low: 'low', medium: 'medium', high: 'high' },
  droughtRisk: { low: 'little', medium: 'somewhat', high: 'badly' }
};

/** What is wrong with a crop, by its field, and what to do. */
export const cropProblemWords = (problems: readonly CropProblem[]): Record<string, string> =>
  Object.fromEntries(problems.map((problem) => [problem.field, sayOf(problem)]));

function sayOf(problem: CropProblem): string {
  switch (problem.code) {
    case 'nameless':
      return 'Give the crop a name.';
    case 'refused':
      return REFUSED_WORDS[problem.why];
    case 'density':
      return `Enter a density over 0, up to ${MOST_SEEDS_CM2} seeds per cm² (${Math.round(MOST_SEEDS_CM2 * 6.4516)} per in²).`;
    case 'densities-fall':
      return 'Sparse must not be more than usual, nor usual more than dense.';
    case 'out-of-bounds': {
      const { bounds, unit } = FIGURES[problem.field];
      return `${FIGURE_NAMES[problem.field]} must lie between ${bounds[0]} and ${bounds[1]} ${unit}.`;
    }
    case 'falls':
      return `${FIGURE_NAMES[problem.field]} must ${problem.strictly ? 'be more than' : 'not be less than'} “${FIGURE_NAMES[problem.after]}”.`;
  }
}
