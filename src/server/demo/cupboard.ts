import { cropOf } from '../../core/crops/library.ts';
import type { Lot } from '../../core/supplies/seed/lot.ts';
import type { Method } from '../../core/supplies/methods/method.ts';
import { DEFAULT_METHOD } from '../../core/supplies/methods/ready.ts';
import { ruleWith, type Product } from '../../core/supplies/seed/product.ts';
import { STARTING_RULES } from '../../core/supplies/seed/rule.ts';
import { DAY } from '../../core/time/zone.ts';
import type { Tx } from '../db/connection.ts';
import { saveLot } from '../cupboard/lots.ts';
import { saveMedium } from '../cupboard/media.ts';
import { saveProduct } from '../cupboard/products.ts';
import { saveAppetite } from '../ahead/appetite.ts';
import { changeMoney, savePrice } from '../households/prices.ts';
import { saveOwnCrop } from '../crops/ownCrops.ts';
import { saveMethod } from '../methods/methods.ts';

const id = (n: number) => `${String(n).padStart(8, '0')}-0000-4000-b000-000000000000`;

export type LotName = 'peas' | 'radish' | 'sunflower' | 'mustard' | 'broccoli' | 'basil';

const lot = (n: number, cropKey: string, name: string, weighedG: number, more: Partial<Lot> = {}): Lot => ({
  id: id(n),
  cropKey,
  name,
  weighedG,
  price: null,
  packetG: null,
  boughtOn: null,
  parts: null,
  bestBefore: null,
  packetPct: null,
  test: null,
  ...more
});

const dayFrom = (now: number, days: number) => new Date(now + days * DAY).toISOString().slice(0, 10);

/** The packets in the cupboard; one low, one past its date, one that tested weak. */
export const LOTS: Record<LotName, Lot> = {
  peas: lot(1, 'pea', 'Paper sack', 900, { price: 4.2, packetG: 900, test: { sprouted: 46, tested: 50 } }),
  radish: lot(2, 'radish', 'Tin', 240, { price: 6.9, packetG: 240, packetPct: 94 }),
  sunflower: lot(3, 'sunflower', 'Striped, in the jar', 210, { price: 3.5, packetG: 210, packetPct: 90 }),
  mustard: lot(4, 'mustard', 'Old envelope', 60, { packetPct: 90 }),
  broccoli: lot(5, 'broccoli', 'Zip bag', 6, { price: 5.4, packetG: 60, packetPct: 92 }),
  basil: lot(6, 'basil', 'From the market', 25, { test: { sprouted: 19, tested: 30 } })
};

const PEROXIDE: Product = {
  id: id(11),
  name: 'Brown bottle',
  kind: 'peroxide',
  strengthPct: 6,
  datedOn: null
};
const BLEACH: Product = {
  id: id(12),
  name: 'Bleach under the sink',
  kind: 'hypochlorite',
  strengthPct: 4.5,
  datedOn: null
};

/** A method of the household's own: press and wait, with the seed washed in peroxide first. */
const CAREFUL: Method = {
  ...DEFAULT_METHOD,
  key: 'careful-start',
  name: 'Careful start',
  disinfect: 'peroxide',
  disinfectRule: ruleWith(
    { ...STARTING_RULES.peroxide, source: 'A leaflet we keep on the fridge' },
    PEROXIDE
  ),
  feed: 'half'
};

export const METHODS: ReadonlyMap<string, Method> = new Map([[CAREFUL.key, CAREFUL]]);

/** What the flat keeps: packets, a mixed medium and a brick, a method and a crop of its own. */
export async function fillCupboard(tx: Tx, householdId: string, now: number): Promise<void> {
  for (const [name, one] of Object.entries(LOTS))
    await saveLot(
      tx,
      householdId,
      {
        ...one,
        boughtOn: dayFrom(now, -80),
        bestBefore: dayFrom(now, name === 'mustard' ? -40 : 400)
      },
      now - 80 * DAY
    );
  await saveMedium(tx, householdId, {
    id: id(7),
    name: 'Balcony mix',
    kind: 'seed-mix',
    swellLKg: null,
    parts: [
      { name: 'coir', parts: 3 },
      { name: 'compost', parts: 1 },
      { name: 'perlite', parts: 1 }
    ]
  });
  await saveMedium(tx, householdId, {
    id: id(8),
    name: 'Small coir brick',
    kind: 'coir',
    swellLKg: 9,
    parts: null
  });
  await saveProduct(tx, householdId, { ...PEROXIDE, datedOn: dayFrom(now, -40) });
  await saveProduct(tx, householdId, { ...BLEACH, datedOn: dayFrom(now, -230) });
  await saveAppetite(tx, householdId, {
    eaters: [
      { id: id(9), name: 'Nela', gByWeekday: [40, 40, 40, 40, 40, 60, 60], liked: ['radish'], disliked: [] },
      { id: id(10), name: 'Ivo', gByWeekday: [20, 20, 20, 20, 20, 45, 45], liked: [], disliked: ['mustard'] }
    ],
    tastes: [
      { cropKey: 'pea', taste: 'liked', leastShare: null, mostShare: null },
      { cropKey: 'cilantro', taste: 'disliked', leastShare: null, mostShare: null }
    ],
    variety: { leastCrops: 3, mostInRow: null },
    daysOff: []
  });
  await changeMoney(tx, { currency: 'EUR', kWh: 0.28, feedL: 9.5 });
  await savePrice(tx, householdId, { of: 'medium', key: 'coir', price: 2.4, amount: 5200, uses: 1 });
  await savePrice(tx, householdId, { of: 'medium', key: 'seed-mix', price: 6.5, amount: 10_000, uses: 1 });
  await savePrice(tx, householdId, { of: 'medium', key: 'hemp-mat', price: 7.2, amount: 4500, uses: 1 });
  await savePrice(tx, householdId, { of: 'shop', key: 'radish', price: 2.6, amount: 50, uses: 1 });
  await savePrice(tx, householdId, { of: 'shop', key: 'pea', price: 2.9, amount: 100, uses: 1 });
  await saveMethod(tx, householdId, CAREFUL);
  const kale = cropOf('kale');
  await saveOwnCrop(tx, householdId, {
    basedOn: 'kale',
    crop: {
      ...kale,
      key: 'own-curly-kale',
      name: 'Curly kale of the balcony',
      windowOpenD21: kale.windowOpenD21 + 1,
      windowBestD21: kale.windowBestD21 + 1,
      windowCloseD21: kale.windowCloseD21 + 1
    }
  });
}

/** How many of each container the flat has. */
export async function countContainers(tx: Tx): Promise<void> {
  await tx`update containers set owned = 7, empty_g = 118 where shape = 'rectangle'`;
  await tx`update containers set owned = 8, empty_g = 640 where shape = 'round'`;
  await tx`update containers set owned = 2, empty_g = 74 where shape = 'cells'`;
}
