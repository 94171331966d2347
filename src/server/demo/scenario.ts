import type { Place } from '../../core/places/place.ts';
import type { Container } from '../../core/supplies/containers/container.ts';
import type { MediumKind } from '../../core/supplies/media/medium.ts';
import type { LotName } from './cupboard.ts';

/** A shared flat with a glazed balcony: all made up. */
export const FLAT = {
  name: 'The glazed balcony',
  zone: 'Europe/Madrid',
  latitudeDeg: 43.4,
  members: ['Nela', 'Tobi', 'Runa']
};

type PlaceName = 'top' | 'middle' | 'bottom' | 'sill' | 'stairs';

const sill = (aspect: 'midday' | 'side' | 'away', back: boolean) => ({ kind: 'sill', aspect, back }) as const;

const board = (widthCm: number, depthCm: number, ratedG: number | null) => ({ widthCm, depthCm, ratedG });
/** The trolley's tiers are alike. */
const TIER = board(75, 40, 8000);

/** In the order they are walked past. */
export const PLACES: Record<PlaceName, Place> = {
  top: place(
    1,
    'Trolley, top tier',
    { kind: 'lamp', ppfd: 220, hours: 14, watts: 36, distanceCm: 30 },
    [22, 18, 50],
    true,
    TIER
  ),
  middle: place(2, 'Trolley, middle tier', sill('midday', false), [20, 17, 55], false, TIER),
  bottom: place(3, 'Trolley, bottom tier', sill('side', false), [19, 17, 60], false, TIER),
  sill: place(4, 'Balcony sill', sill('midday', false), [21, 15, 55], false, board(90, 24, 6000)),
  stairs: place(5, 'Stairwell sill', sill('side', false), [16, 13, 65], false, board(60, 22, null))
};

function place(
  n: number,
  name: string,
  light: Place['light'],
  [dayC, nightC, humidityPct]: readonly [number, number, number],
  movingAir: boolean,
  its: Pick<Place, 'widthCm' | 'depthCm' | 'ratedG'>
): Place {
  const id = `0000000${n}-0000-4000-a000-000000000000`;
  return { id, name, light, dayC, nightC, humidityPct, movingAir, ratingSure: false, ...its };
}

const CONTAINERS = {
  tray: { name: 'Blue tray', shape: 'rectangle', lengthCm: 25, widthCm: 18, depthCm: 5, cells: 1 },
  pot: { name: 'Clay pot', shape: 'round', lengthCm: 16, widthCm: 16, depthCm: 8, cells: 1 },
  six: { name: 'Six-cell tray', shape: 'cells', lengthCm: 6, widthCm: 6, depthCm: 5, cells: 6 }
} satisfies Record<string, Container>;

export interface DemoStory {
  crop: string;
  container: Container;
  count: number;
  medium: MediumKind;
  method: string;
  place: Place;
  /** Days from now to the median opening of its window; negative for a window that has opened. */
  opensInD: number;
  /** Where it counts from its sowing instead: how many days ago that was. */
  sownAgoD?: number;
  /** Ends as lost this many days after sowing. */
  lostAfterD?: number;
  /** How thick it is sown against the usual. */
  crowd?: number;
  /** What is cut of it is pressed and frozen. */
  juiced?: boolean;
  /** The packet its seed comes from, where that is kept. */
  lot?: LotName;
  /** Set on the scale when it was sown, so that a weighing later tells how much water is left. */
  weighs?: boolean;
  /** How slow it really is against the table, for those under way; by the book where left out. */
  pace?: number;
}

function story(
  crop: string,
  container: keyof typeof CONTAINERS,
  at: PlaceName,
  opensInD: number,
  more: Partial<DemoStory> = {}
): DemoStory {
  return {
    crop,
    container: CONTAINERS[container],
    count: 1,
    medium: 'coir',
    method: 'press-and-wait',
    place: PLACES[at],
    opensInD,
    ...more
  };
}

/** Under way now, at every stage; the peas are put to soak tonight. */
export const UNDER_WAY: DemoStory[] = [
  story('radish', 'tray', 'top', -1.1, { pace: 0.9 }),
  story('broccoli', 'tray', 'top', 2.6, { weighs: true }),
  story('sunflower', 'pot', 'middle', 6.4, { medium: 'seed-mix' }),
  story('arugula', 'pot', 'bottom', 6.9, { method: 'light-hand' }),
  story('cress-garden', 'six', 'sill', 0.75, { method: 'light-hand', medium: 'hemp-mat' }),
  story('pea', 'pot', 'sill', 0, { sownAgoD: 1.6, count: 2, medium: 'seed-mix' }),
  story('mustard', 'tray', 'stairs', 6.5)
];

/** Prepared this evening, together. */
export const TONIGHT: DemoStory[] = [
  story('pea', 'tray', 'middle', 0, { medium: 'seed-mix', lot: 'peas' }),
  story('sunflower', 'pot', 'bottom', 0, { method: 'careful-start', lot: 'sunflower' }),
  story('radish', 'pot', 'bottom', 0, { lot: 'radish' })
];

/** Ended within the past ten weeks. */
export const PAST: DemoStory[] = [
  story('radish', 'tray', 'top', -64, { lot: 'radish' }),
  story('pea', 'tray', 'sill', -61, { medium: 'seed-mix' }),
  story('broccoli', 'tray', 'top', -58),
  story('radish', 'tray', 'sill', -56, { lot: 'radish' }),
  // More seed against less.
  story('broccoli', 'tray', 'top', -44, { crowd: 1.4 }),
  story('cress-garden', 'six', 'sill', -54, { method: 'light-hand', medium: 'hemp-mat' }),
  story('sunflower', 'pot', 'middle', -51, { medium: 'seed-mix', count: 2 }),
  story('radish', 'tray', 'top', -47, { lot: 'radish' }),
  // The same on the sill: lamp against window.
  story('radish', 'tray', 'sill', -45, { lot: 'radish' }),
  story('kale', 'tray', 'stairs', -42),
  story('mustard', 'pot', 'sill', -40, { method: 'light-hand' }),
  story('pea', 'pot', 'sill', -35, { medium: 'seed-mix', count: 2 }),
  story('radish', 'tray', 'top', -31, { lot: 'radish' }),
  story('radish', 'tray', 'sill', -30, { lot: 'radish' }),
  story('buckwheat', 'tray', 'middle', -29, { lostAfterD: 5 }),
  story('broccoli', 'tray', 'top', -24),
  story('cress-garden', 'six', 'sill', -20, { method: 'light-hand', medium: 'hemp-mat' }),
  story('radish', 'pot', 'sill', -16, { lot: 'radish' }),
  story('wheat', 'tray', 'middle', -11, { medium: 'seed-mix', juiced: true }),
  story('pea', 'tray', 'middle', -12, { medium: 'seed-mix' }),
  story('mustard', 'pot', 'sill', -5, { method: 'light-hand', lot: 'mustard' }),
  story('pea', 'tray', 'middle', -4, { medium: 'seed-mix', lot: 'peas' }),
  story('broccoli', 'pot', 'top', -3, { lot: 'broccoli' }),
  story('beet', 'pot', 'bottom', -1, { lostAfterD: 9 })
];
