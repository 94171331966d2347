import type { AheadInput } from '../../src/core/ahead/build.ts';
import type { Place } from '../../src/core/places/place.ts';
import { chanceFrom } from '../../src/server/demo/chance.ts';
import { aheadInput, container, growable, shelf } from './ahead.ts';

const CROPS = [
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
  'cabbage-red'
] as const;

/** A household of a seed with eight weeks to plan: crops, places, containers, appetites, days off and tastes as they fall. */
export function largeHousehold(seed: number): AheadInput {
  const chance = chanceFrom(seed);
  const int = (least: number, most: number): number =>
    least + Math.floor(chance.uniform() * (most - least + 1));
  const crops = CROPS.filter(() => chance.uniform() < 0.7);
  const places = Array.from({ length: int(1, 4) }, (_, n): Place => {
    const isLamp = n === 0 || chance.uniform() < 0.4;
    return {
      ...shelf,
      id: `place ${n}`,
      name: `Place ${n}`,
      dayC: int(17, 23),
      nightC: int(15, 19),
      widthCm: int(45, 110),
      depthCm: int(22, 45),
      light: isLamp
        ? { kind: 'lamp', ppfd: int(120, 260), hours: 14 }
        : { kind: 'sill', aspect: chance.uniform() < 0.6 ? 'midday' : 'side', back: false }
    };
  });
  const usualG = int(20, 90);
  const weekend = chance.uniform() < 0.5 ? 1.5 : 1;
  return aheadInput({
    eaters: [
      {
        id: 'all',
        name: 'All',
        gByWeekday: [1, 1, 1, 1, 1, weekend, weekend].map((share) => Math.round(share * usualG))
      }
    ],
    places,
    containers: [
      container('Tray', [25, 18], int(2, 6)),
      container('Small tray', [20, 12], int(1, 5)),
      ...(chance.uniform() < 0.5 ? [container('Pot', [14, 14], int(2, 6))] : [])
    ],
    growables: crops.map((key) => growable(key, { seedG: chance.uniform() < 0.3 ? int(40, 150) : null })),
    tastes: crops.flatMap((cropKey) =>
      chance.uniform() < 0.3
        ? [
            {
              cropKey,
              taste: 'liked' as const,
              leastShare: chance.uniform() < 0.5 ? 0.1 : null,
              mostShare: chance.uniform() < 0.5 ? 0.4 : null
            }
          ]
        : []
    ),
    daysOff: [1, 2, 3, 4, 5, 6, 7].filter(() => chance.uniform() < 0.3)
  });
}
