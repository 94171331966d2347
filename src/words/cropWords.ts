import type { Crop } from '$core/crops/crop.ts';
import { isSoaked } from '$core/crops/crop.ts';
import {
  densityFigure,
  figure,
  length,
  seedDensity,
  temperature,
  yieldPerArea,
  type Units
} from '$core/units/format.ts';

export interface CropFact {
  name: string;
  value: string;
}

export interface CropFacts {
  heading: string;
  facts: CropFact[];
}

const CUE = {
  cotyledon: 'seed leaves open and green, before the first true leaf is out',
  'true-leaf': 'the first true leaf shows',
  'third-leaf': 'the third true leaf shows',
  height: 'it is tall enough',
  tips: 'the tips are long and tender'
};

const range = (low: string, high: string): string => `${low.replace(/ .*/, '')} to ${high}`;

/** A crop's figures, in the order of the work, for a person to read. */
export function cropFacts(crop: Crop, units: Units): CropFacts[] {
  const { seedsPerCm2: density } = crop;
  const fact = (name: string, value: string): CropFact => ({ name, value });
  return [
    {
      heading: 'Seed',
      facts: [
        fact('1000 seeds weigh', `${figure(crop.thousandSeedWeightG)} g`),
        fact('Usually sprouts', `${crop.germinationPct} %`),
        fact(
          'Density',
          `${seedDensity(density.usual, units)} (${densityFigure(density.sparse, units)} sparse, ${densityFigure(density.dense, units)} dense)`
        ),
        fact(
          'Soak',
          isSoaked(crop)
            ? `${crop.soakBestH} h, ${crop.soakMinH > 0 ? `${crop.soakMinH}` : 'or none, up'} to ${crop.soakMaxH} h${crop.drainH > 0 ? `, then drain ${crop.drainH} h` : ''}`
            : crop.gelSeed
              ? 'never: the coat turns to gel'
              : 'none'
        ),
        fact(
          'Disinfecting',
          { no: 'not needed', optional: 'as you wish', advised: 'advised: rough seed carries more' }[
            crop.disinfect
          ]
        )
      ]
    },
    {
      heading: 'Sowing',
      facts: [
        fact('Cover the seed', { none: 'no', thin: 'thinly', full: 'fully' }[crop.cover]),
        fact(
          'Press',
          crop.pressMaxGCm2 > 0
            ? `${figure(crop.pressMinGCm2)} to ${figure(crop.pressMaxGCm2)} g/cm²`
            : 'no weight'
        ),
        fact(
          'To sprout it wants',
          { dark: 'darkness', light: 'light', either: 'either, light or dark' }[crop.germinationLight]
        )
      ]
    },
    {
      heading: 'At a steady 21 °C in good light',
      facts: [
        fact('Rooted', `${figure(crop.rootedD21)} days`),
        fact('Ready for light', `${figure(crop.lightReadyD21)} days`),
        fact(
          'Window',
          `day ${figure(crop.windowOpenD21)} to ${figure(crop.windowCloseD21)}, best about ${figure(crop.windowBestD21)}`
        ),
        fact('Cut when', CUE[crop.harvestCue]),
        fact('Varies by', `${Math.round(crop.durationCv * 100)} % from sowing to sowing`)
      ]
    },
    {
      heading: 'Warmth',
      facts: [
        fact('Grows between', range(temperature(crop.baseC, units), temperature(crop.maximumC, units))),
        fact('Fastest at', temperature(crop.optimumC, units)),
        fact('Keep below', temperature(crop.keepBelowC, units))
      ]
    },
    {
      heading: 'Harvest',
      facts: [
        fact('Height', range(length(crop.heightMinCm, units), length(crop.heightMaxCm, units))),
        fact(
          'Yield',
          `${yieldPerArea(crop.yieldMidGM2, units)} (${yieldPerArea(crop.yieldLowGM2, units)} to ${yieldPerArea(crop.yieldHighGM2, units)})`
        ),
        fact('Keeps', keepsWords(crop.keepsMinD, crop.keepsMaxD, crop.keepAtC, units)),
        fact('Grows again', crop.regrows ? 'yes, more weakly' : 'no'),
        fact('Mould risk', crop.mouldRisk),
        fact('Hurt by drought', { low: 'little', medium: 'somewhat', high: 'badly' }[crop.droughtRisk])
      ]
    }
  ];
}

/** How long it keeps, and how cold: what the cold blackens is kept at its own warmth. */
export const keepsWords = (minD: number, maxD: number, keepAtC: number, units: Units): string =>
  keepAtC > 5
    ? `${minD} to ${maxD} days at about ${temperature(keepAtC, units)}, no colder: the cold blackens it`
    : `${minD} to ${maxD} days at or below ${temperature(keepAtC, units)}`;

/** How long from sowing to cutting, at a glance. */
export const cropSpan = (crop: Crop): string =>
  `${figure(crop.windowOpenD21)} to ${figure(crop.windowCloseD21)} days at 21 °C`;
