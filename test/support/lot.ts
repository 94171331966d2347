import type { LotStock } from '../../src/core/supplies/seed/lot.ts';

/** A tin of 100 g of radish seed of which nothing else is known. */
export const tin = (more: Partial<LotStock> = {}): LotStock => ({
  id: 'lot',
  cropKey: 'radish',
  name: 'Tin',
  weighedG: 100,
  takenG: 0,
  price: null,
  packetG: null,
  boughtOn: null,
  parts: null,
  bestBefore: null,
  packetPct: null,
  test: null,
  ...more
});
