import { COIR_SWELL_L_KG, COIR_WATER_L_KG } from '../supplies/media/coir.ts';
import { problem, Unworkable } from '../problem.ts';
import { hypochlorite, isWeak, peroxide, USUAL_RATIO_L_KG } from '../supplies/seed/disinfect.ts';
import { STARTING_RULES } from '../supplies/seed/rule.ts';
import { bulkDensityGMl } from '../supplies/seed/spoons.ts';
import { swelling, WATER_TIMES_DRY } from '../supplies/seed/jar.ts';
import type { Crop } from '../crops/crop.ts';
import { usualYieldG } from '../growth/yield.ts';
import { unitFactor } from '../units/parseQuantity.ts';
import type { Quantity, QuantityKind, Calculator } from './calculator.ts';

const quantity = (
  key: string,
  label: string,
  kind: QuantityKind,
  start: number,
  [low, high]: readonly [number, number],
  solvable = true
): Quantity => ({ key, label, kind, start, low, high, solvable });

const given = (...of: Parameters<typeof quantity>): Quantity => ({ ...quantity(...of), solvable: false });

/** Seed in a spoon, mL to a teaspoon. */
const teaspoons = (mL: number) => mL / unitFactor('volume', 'tsp')!;

const round = (value: number): string => String(Number(value.toPrecision(3)));

const seedFactors = (crop: Crop) => [
  { value: crop.thousandSeedWeightG / 1000, words: `${round(crop.thousandSeedWeightG)} g per 1000 seeds` },
  { value: crop.germinationPct, words: `${round(crop.germinationPct)} % usual germination` }
];

const none = () => null;

const seed: Calculator = {
  key: 'seed',
  name: 'Seed for a container',
  ofCrop: true,
  quantities: ({ crop }) => [
    quantity('seedG', 'Seed', 'mass', NaN, [0.01, 5000]),
    quantity('count', 'Containers', 'count', 1, [0.01, 1000]),
    quantity('density', 'Density', 'density', crop.seedsPerCm2.usual, [0.01, 60]),
    given('area', 'Area of one', 'area', 450, [1, 20_000]),
    given('germination', 'Germination of the lot', 'percent', crop.germinationPct, [1, 100])
  ],
  // seed = count x area x density x weight of 1000 / 1000 x usual germination / the lot's
  relation: ({ crop }) => ({
    factors: seedFactors(crop),
    powers: { count: 1, area: 1, density: 1, germination: -1, seedG: -1 }
  }),
  asides: ({ seedG, count, area }, { crop }) => [
    { label: 'As spoons', value: teaspoons(seedG! / bulkDensityGMl(crop)), kind: 'teaspoons' },
    { label: 'Seeds', value: (seedG! / crop.thousandSeedWeightG) * 1000, kind: 'seeds' },
    { label: 'Seed to one', value: seedG! / count!, kind: 'mass' },
    { label: 'All areas', value: area! * count!, kind: 'area' }
  ],
  refuse: none
};

const packet: Calculator = {
  key: 'packet',
  name: 'Packet to trays',
  ofCrop: true,
  quantities: ({ crop }) => [
    quantity('count', 'Trays it makes', 'count', NaN, [0.01, 10_000]),
    quantity('lotG', 'Seed in the packet', 'mass', 100, [0.1, 50_000]),
    quantity('area', 'Area of one tray', 'area', 450, [1, 20_000]),
    given('density', 'Density', 'density', crop.seedsPerCm2.usual, [0.01, 60]),
    given('germination', 'Germination of the lot', 'percent', crop.germinationPct, [1, 100])
  ],
  relation: ({ crop }) => ({
    factors: seedFactors(crop),
    powers: { count: 1, area: 1, density: 1, germination: -1, lotG: -1 }
  }),
  asides: ({ lotG, count, area }, { crop }) => [
    { label: 'Seed to a tray', value: lotG! / count!, kind: 'mass' },
    {
      label: 'To be cut from all of it',
      value: usualYieldG(crop, area!).usual * Math.floor(count! + 1e-9),
      kind: 'mass'
    }
  ],
  refuse: none
};

const soak: Calculator = {
  key: 'soak',
  name: 'Soak',
  ofCrop: true,
  quantities: () => [
    quantity('jarMl', 'Jar, at least', 'volume', NaN, [1, 50_000]),
    quantity('seedG', 'Dry seed', 'mass', 100, [0.1, 10_000]),
    given('times', 'Water, times the dry volume', 'count', WATER_TIMES_DRY, [1.5, 10])
  ],
  // The jar holds swollen seed and water: seed / bulk density x (swelling + times)
  relation: ({ crop }, { times }) => ({
    factors: [
      { value: 1 / bulkDensityGMl(crop), words: `${round(1 / bulkDensityGMl(crop))} mL to a g` },
      { value: swelling(crop) + times!, words: `(${swelling(crop)} swollen + ${round(times!)} water)` }
    ],
    powers: { seedG: 1, jarMl: -1 }
  }),
  asides: ({ seedG, times }, { crop }) => {
    const dryMl = seedG! / bulkDensityGMl(crop);
    return [
      { label: 'Water', value: dryMl * times!, kind: 'volume' },
      { label: 'Dry, it fills', value: dryMl, kind: 'volume' },
      { label: 'Swollen, it fills', value: dryMl * swelling(crop), kind: 'volume' }
    ];
  },
  refuse: none
};

const disinfect = (product: 'hypochlorite' | 'peroxide'): Calculator => {
  const rule = STARTING_RULES[product];
  const isHypochlorite = product === 'hypochlorite';
  return {
    key: product,
    name: isHypochlorite ? 'Hypochlorite solution' : 'Peroxide solution',
    ofCrop: false,
    quantities: () => [
      quantity('productMl', 'Product', 'volume', NaN, [0.001, 50_000]),
      quantity('seedG', 'Seed', 'mass', 340, [0.1, 10_000]),
      quantity('target', 'Strength wanted', isHypochlorite ? 'ppm' : 'percent', rule.target, [
        0.01,
        isHypochlorite ? 1_000_000 : 100
      ]),
      given('strength', 'Strength on the label', 'percent', isHypochlorite ? 5.25 : 12, [0.01, 100]),
      given('ratio', 'Solution to the seed', 'litre-per-kg', USUAL_RATIO_L_KG, [1, 50])
    ],
    // product = seed x ratio x target / strength; 1 % is 10 000 ppm
    relation: () => ({
      factors: isHypochlorite ? [{ value: 1 / 10_000, words: '(1 % per 10 000 ppm)' }] : [],
      powers: { seedG: 1, ratio: 1, target: 1, strength: -1, productMl: -1 }
    }),
    asides: ({ seedG, ratio, productMl }) => [
      { label: 'Solution', value: seedG! * ratio!, kind: 'volume' },
      { label: 'Water', value: seedG! * ratio! - productMl!, kind: 'volume' }
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
  name: 'Dilution',
  ofCrop: false,
  quantities: () => [
    quantity('stockMl', 'Stock to take', 'volume', NaN, [0.001, 100_000]),
    quantity('totalMl', 'To make in all', 'volume', 1000, [1, 1_000_000]),
    quantity('target', 'Strength wanted', 'percent', 3, [0.0001, 100]),
    quantity('stock', 'Strength of the stock', 'percent', 12, [0.001, 100])
  ],
  relation: () => ({ factors: [], powers: { totalMl: 1, target: 1, stock: -1, stockMl: -1 } }),
  asides: ({ stockMl, totalMl }) => [{ label: 'Water', value: totalMl! - stockMl!, kind: 'volume' }],
  refuse: ({ stock, target }) => (stock! + 1e-9 < target! ? problem('stock-too-weak') : null)
};

const medium: Calculator = {
  key: 'medium',
  name: 'Medium',
  ofCrop: false,
  quantities: () => [
    quantity('mediumMl', 'Medium', 'volume', NaN, [1, 1_000_000]),
    quantity('count', 'Containers', 'count', 1, [0.01, 1000]),
    quantity('depth', 'Depth', 'length', 2.5, [0.1, 30]),
    given('area', 'Area of one', 'area', 450, [1, 20_000]),
    given('swell', 'Coir, litres from a dry kg', 'count', COIR_SWELL_L_KG, [2, 25])
  ],
  relation: () => ({ factors: [], powers: { count: 1, area: 1, depth: 1, mediumMl: -1 } }),
  asides: ({ mediumMl, swell }) => [
    { label: 'As coir, dry', value: mediumMl! / swell!, kind: 'mass' },
    {
      label: 'Water to swell that coir, about',
      value: (mediumMl! / swell!) * COIR_WATER_L_KG,
      kind: 'volume'
    }
  ],
  refuse: none
};

const feed: Calculator = {
  key: 'feed',
  name: 'Feed',
  ofCrop: false,
  quantities: () => [
    quantity('stockMl', 'Feed to add', 'volume', NaN, [0.001, 10_000]),
    quantity('waterL', 'Water', 'litre', 2, [0.05, 1000]),
    quantity('dose', 'Dose on the label', 'per-litre', 4, [0.01, 100]),
    quantity('strength', 'Of that dose', 'percent', 50, [1, 200])
  ],
  relation: () => ({
    factors: [{ value: 0.01, words: '1/100' }],
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
