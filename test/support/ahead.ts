import { NO_WISH } from '../../src/core/ahead/variety.ts';
import type { AheadInput } from '../../src/core/ahead/build.ts';
import type { Growable } from '../../src/core/ahead/growable.ts';
import { horizonFrom } from '../../src/core/ahead/horizon.ts';
import { cropOf } from '../../src/core/crops/library.ts';
import type { Place } from '../../src/core/places/place.ts';
import type { ContainerStock } from '../../src/core/supplies/containers/container.ts';
import { READY_METHODS } from '../../src/core/supplies/methods/ready.ts';
import { zoneOf } from '../../src/core/time/zone.ts';

export const NOW = Date.parse('2026-11-26T09:00Z');
export const RHYTHM = { zone: zoneOf('Europe/Madrid'), wakeMin: 420, sleepMin: 1380, roundsMin: [450, 1230] };

export const shelf: Place = {
  id: 'shelf',
  name: 'Shelf',
  light: { kind: 'lamp', ppfd: 220, hours: 14 },
  dayC: 21,
  nightC: 18,
  humidityPct: 50,
  movingAir: false,
  widthCm: 90,
  depthCm: 40
};
const sill: Place = {
  ...shelf,
  id: 'sill',
  name: 'Sill',
  light: { kind: 'sill', aspect: 'midday', back: false },
  depthCm: 25
};
const rack: Place = { ...shelf, id: 'rack', name: 'Rack', dayC: 19, nightC: 17, widthCm: 120 };

export const container = (
  name: string,
  [lengthCm, widthCm]: [number, number],
  owned: number | null
): ContainerStock => ({
  id: name,
  name,
  shape: 'rectangle',
  lengthCm,
  widthCm,
  depthCm: 5,
  cells: 1,
  emptyG: null,
  drains: true,
  reservoirMl: null,
  owned,
  inUse: 0,
  toClean: 0
});

export const growable = (
  key: string,
  { seedG = null, ...more }: Partial<Growable> & { seedG?: number | null } = {}
): Growable => ({
  crop: cropOf(key),
  parts: [{ crop: cropOf(key), lot: null, share: 1, seedG }],
  shareOf: 'weight',
  medium: 'coir',
  mediumId: null,
  method: READY_METHODS[0]!,
  density: 'usual',
  ...more
});

const PRICES = { currency: 'EUR', kWh: null, feedL: null, media: {}, shop: {}, lots: {} };

/** Somebody who eats so much a day. */
export const eater = (g: number) => ({
  id: 'one',
  name: 'All',
  gByWeekday: Array.from({ length: 7 }, () => g)
});

/** A household with nothing under way, one crop and one shelf, and whatever else is said. */
export function aheadInput(more: Partial<AheadInput> & { days?: number } = {}): AheadInput {
  const { days, ...rest } = more;
  return {
    context: { rhythm: RHYTHM, latitudeDeg: 43.4, places: new Map(), now: NOW },
    horizon: horizonFrom(RHYTHM, NOW, days),
    eaters: [eater(60)],
    tastes: [],
    variety: NO_WISH,
    away: [],
    daysOff: [],
    places: [shelf],
    containers: [container('Tray', [25, 18], 4)],
    growables: [growable('radish')],
    sowings: [],
    locked: new Set(),
    pantry: [],
    prices: PRICES,
    ...rest
  };
}

/** Eight weeks, 12 crops, 3 places, 12 containers of three kinds. */
export const twelveCrops = (): AheadInput =>
  aheadInput({
    eaters: [eater(60)],
    places: [shelf, sill, rack],
    containers: [
      container('Tray', [25, 18], 5),
      container('Small tray', [20, 12], 4),
      container('Box', [18, 14], 3)
    ],
    growables: [
      'radish',
      'broccoli',
      'mustard',
      'cress-garden',
      'pea',
      'sunflower',
      'basil',
      'kale',
      'mizuna',
      'beet',
      'arugula',
      'wheat'
    ].map((key) => growable(key, { seedG: 400 }))
  });
