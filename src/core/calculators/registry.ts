import { COIR_SWELL_L_KG, COIR_WATER_L_KG } from '../supplies/media/coir.ts';
import { problem, Unworkable } from '../problem.ts';
import { hypochlorite, isWeak, peroxide, USUAL_RATIO_L_KG } from '../supplies/seed/disinfect.ts';
import { STARTING_RULES } from '../supplies/seed/rule.ts';
import { bulkDensityGMl } from '../supplies/seed/spoons.ts';
import { swelling, WATER_TIMES_DRY } from '../supplies/seed/jar.ts';
import type { Crop } from '../crops/crop.ts';
import { usualYieldG } from '../growth/yield.ts';
import { unitFactor } from '../units/parseQuantity.ts';
import type { Factor } from './relation.ts';
import type { Quantity, QuantityKind, Calculator } from './calculator.ts';

const quantity = (
  key: string,
  kind: QuantityKind,
  start: number,
  [low, high]: readonly [number, number],
  solvable = true
): Quantity => ({ key, kind, start, low, high, solvable });

const given = (...of: Parameters<typeof quantity>): Quantity => ({ ...quantity(...of), solvable: false });

/** Seed in a spoon, mL to a teaspoon. */
const teaspoons = (mL: number) => mL / unitFactor('volume', 'tsp')!;

const seedFactors = (crop: Crop): Factor[] => [
  { value: crop.thousandSeedWeightG / 1000, kind: 'seed-weight', figures: [crop.thousandSeedWeightG] },
  { value: crop.germinationPct, kind: 'germination', figures: [crop.germinationPct] }
];

const none = () => null;

const seed: Calculator = {
  key: 'seed',
  ofCrop: true,
  quantities: ({ crop }) => [
    quantity('seedG', 'mass', NaN, [0.01, 5000]),
    quantity('count', 'count', 1, [0.01, 1000]),
    quantity('density', 'density', crop.seedsPerCm2.usual, [0.01, 60]),
    given('area', 'area', 450, [1, 20_000]),
    given('germination', 'percent', crop.germinationPct, [1, 100])
  ],
  // seed = count x area x density x weight of 1000 / 1000 x usual germination / the lot's
  relation: ({ crop }) => ({
    factors: seedFactors(crop),
    powers: { count: 1, area: 1, density: 1, germination: -1, seedG: -1 }
  }),
  asides: ({ seedG, count, area }, { crop }) => [
    { key: 'spoons', value: teaspoons(seedG! / bulkDensityGMl(crop)), kind: 'teaspoons' },
    { key: 'seeds', value: (seedG! / crop.thousandSeedWeightG) * 1000, kind: 'seeds' },
    { key: 'seedEach', value: seedG! / count!, kind: 'mass' },
    { key: 'areaAll', value: area! * count!, kind: 'area' }
  ],
  refuse: none
};

const packet: Calculator = {
  key: 'packet',
  ofCrop: true,
  quantities: ({ crop }) => [
    quantity('count', 'count', NaN, [0.01, 10_000]),
    quantity('lotG', 'mass', 100, [0.1, 50_000]),
    quantity('area', 'area', 450, [1, 20_000]),
    given('density', 'density', crop.seedsPerCm2.usual, [0.01, 60]),
    given('germination', 'percent', crop.germinationPct, [1, 100])
  ],
  relation: ({ crop }) => ({
    factors: seedFactors(crop),
    powers: { count: 1, area: 1, density: 1, germination: -1, lotG: -1 }
  }),
  asides: ({ lotG, count, area }, { crop }) => [
    { key: 'seedEach', value: lotG! / count!, kind: 'mass' },
    {
      key: 'yield',
      value: usualYieldG(crop, area!).usual * Math.floor(count! + 1e-9),
      kind: 'mass'
    }
  ],
  refuse: none
};

const soak: Calculator = {
  key: 'soak',
  ofCrop: true,
  quantities: () => [
    quantity('jarMl', 'volume', NaN, [1, 50_000]),
    quantity('seedG', 'mass', 100, [0.1, 10_000]),
    given('times', 'count', WATER_TIMES_DRY, [1.5, 10])
  ],
  // The jar holds swollen seed and water: seed / bulk density x (swelling + times)
  relation: ({ crop }, { times }) => ({
    factors: [
      { value: 1 / bulkDensityGMl(crop), kind: 'volume-of-gram', figures: [1 / bulkDensityGMl(crop)] },
      { value: swelling(crop) + times!, kind: 'swollen-and-water', figures: [swelling(crop), times!] }
    ],
    powers: { seedG: 1, jarMl: -1 }
  }),
  asides: ({ seedG, times }, { crop }) => {
    const dryMl = seedG! / bulkDensityGMl(crop);
    return [
      { key: 'water', value: dryMl * times!, kind: 'volume' },
      { key: 'dryFills', value: dryMl, kind: 'volume' },
      { key: 'swollenFills', value: dryMl * swelling(crop), kind: 'volume' }
    ];
  },
  refuse: none
};

const disinfect = (product: 'hypochlorite' | 'peroxide'): Calculator => {
  const rule = STARTING_RULES[product];
  const isHypochlorite = product === 'hypochlorite';
  return {
    key: product,
    ofCrop: false,
    quantities: () => [
      quantity('productMl', 'volume', NaN, [0.001, 50_000]),
      quantity('seedG', 'mass', 340, [0.1, 10_000]),
      quantity('target', isHypochlorite ? 'ppm' : 'percent', rule.target, [
        0.01,
        isHypochlorite ? 1_000_000 : 100
      ]),
      given('strength', 'percent', isHypochlorite ? 5.25 : 12, [0.01, 100]),
      given('ratio', 'litre-per-kg', USUAL_RATIO_L_KG, [1, 50])
    ],
    // product = seed x ratio x target / strength; 1 % is 10 000 ppm
    relation: () => ({
      factors: isHypochlorite ? [{ value: 1 / 10_000, kind: 'ppm', figures: [] }] : [],
      powers: { seedG: 1, ratio: 1, target: 1, strength: -1, productMl: -1 }
    }),
    asides: ({ seedG, ratio, productMl }) => [
      { key: 'solution', value: seedG! * ratio!, kind: 'volume' },
      { key: 'water', value: seedG! * ratio! - productMl!, kind: 'volume' }
    ],
    refuse: ({ seedG, target, strength, ratio }) => {
      try {
        (isHypochlorite ? hypochlorite : peroxide)(seedG!, target!, strength!, ratio);
        return null;
      } catch (error) {
        if (error instanceof Unworkable) return error.problem;
        throw error;
      }
    },
    isWeak: ({ target }) => isWeak(product, target!)
  };
};

const dilution: Calculator = {
  key: 'dilution',
  ofCrop: false,
  quantities: () => [
    quantity('stockMl', 'volume', NaN, [0.001, 100_000]),
    quantity('totalMl', 'volume', 1000, [1, 1_000_000]),
    quantity('target', 'percent', 3, [0.0001, 100]),
    quantity('stock', 'percent', 12, [0.001, 100])
  ],
  relation: () => ({ factors: [], powers: { totalMl: 1, target: 1, stock: -1, stockMl: -1 } }),
  asides: ({ stockMl, totalMl }) => [{ key: 'water', value: totalMl! - stockMl!, kind: 'volume' }],
  refuse: ({ stock, target }) => (stock! + 1e-9 < target! ? problem('stock-too-weak') : null)
};

const medium: Calculator = {
  key: 'medium',
  ofCrop: false,
  quantities: () => [
    quantity('mediumMl', 'volume', NaN, [1, 1_000_000]),
    quantity('count', 'count', 1, [0.01, 1000]),
    quantity('depth', 'length', 2.5, [0.1, 30]),
    given('area', 'area', 450, [1, 20_000]),
    given('swell', 'count', COIR_SWELL_L_KG, [2, 25])
  ],
  relation: () => ({ factors: [], powers: { count: 1, area: 1, depth: 1, mediumMl: -1 } }),
  asides: ({ mediumMl, swell }) => [
    { key: 'coirDry', value: mediumMl! / swell!, kind: 'mass' },
    {
      key: 'coirWater',
      value: (mediumMl! / swell!) * COIR_WATER_L_KG,
      kind: 'volume'
    }
  ],
  refuse: none
};

const feed: Calculator = {
  key: 'feed',
  ofCrop: false,
  quantities: () => [
    quantity('stockMl', 'volume', NaN, [0.001, 10_000]),
    quantity('waterL', 'litre', 2, [0.05, 1000]),
    quantity('dose', 'per-litre', 4, [0.01, 100]),
    quantity('strength', 'percent', 50, [1, 200])
  ],
  relation: () => ({
    factors: [{ value: 0.01, kind: 'hundredth', figures: [] }],
    powers: { waterL: 1, dose: 1, strength: 1, stockMl: -1 }
  }),
  asides: () => [],
  refuse: none
};

/** The calculators of the bench, in the order of the work. */
export const CALCULATORS: readonly Calculator[] = [
  seed,
  packet,
  soak,
  disinfect('hypochlorite'),
  disinfect('peroxide'),
  dilution,
  medium,
  feed
];

export const findCalculator = (key: string): Calculator | undefined =>
  CALCULATORS.find((calculator) => calculator.key === key);
