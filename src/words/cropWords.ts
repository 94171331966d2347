import { percent } from './percent.ts';
import { unitShown, shownIn } from '$core/units/field.ts';
import { t, table } from '$messages/t.ts';
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

/** The temperature that the table's days are given for, degC. */
const TABLE_C = 21;
const PRESSURE = 'g/cm²';

export interface CropFact {
  name: string;
  value: string;
}

export interface CropFacts {
  heading: string;
  facts: CropFact[];
}

const CUE = table('crops.cue');

const range = (low: string, high: string): string =>
  t('crops.replaceHigh', { replace: low.replace(/ .*/, ''), high });

/** A crop's figures, in the order of the work, for a person to read. */
export function cropFacts(crop: Crop, units: Units): CropFacts[] {
  const { seedsPerCm2: density } = crop;
  const fact = (name: string, value: string): CropFact => ({ name, value });
  return [
    {
      heading: t('crops.seed'),
      facts: [
        fact(t('crops.seedsWeigh'), `${figure(crop.thousandSeedWeightG)} g`),
        fact(t('crops.usuallySprouts'), percent(crop.germinationPct / 100)),
        fact(
          t('crops.density'),
          t('crops.seeddensityDensityfigureSparseDensityfig', {
            seedDensity: seedDensity(density.usual, units),
            densityFigure: densityFigure(density.sparse, units),
            densityFigure2: densityFigure(density.dense, units)
          })
        ),
        fact(
          t('crops.soak'),
          isSoaked(crop)
            ? t('crops.soakbesthHSoakminhOrNone', {
                soakBestH: crop.soakBestH,
                when: crop.soakMinH > 0 ? 'yes' : 'no',
                soakMinH: crop.soakMinH > 0 ? crop.soakMinH : '',
                soakMaxH: crop.soakMaxH,
                when2: crop.drainH > 0 ? 'yes' : 'no',
                drainH: crop.drainH > 0 ? crop.drainH : ''
              })
            : crop.gelSeed
              ? t('crops.neverCoatTurnsGel')
              : t('crops.none')
        ),
        fact(
          t('crops.disinfecting'),
          {
            no: t('crops.notNeeded'),
            optional: t('crops.asYouWish'),
            advised: t('crops.advisedRoughSeedCarriesMore')
          }[crop.disinfect]
        )
      ]
    },
    {
      heading: t('crops.sowing'),
      facts: [
        fact(
          t('crops.coverSeed'),
          { none: t('crops.no'), thin: t('crops.thinly'), full: t('crops.fully') }[crop.cover]
        ),
        fact(
          t('crops.press'),
          crop.pressMaxGCm2 > 0
            ? t('crops.pressRange', {
                least: shownIn(crop.pressMinGCm2, PRESSURE, units),
                most: shownIn(crop.pressMaxGCm2, PRESSURE, units),
                unit: unitShown(PRESSURE, units)
              })
            : t('crops.noWeight')
        ),
        fact(
          t('crops.sproutWants'),
          { dark: t('crops.darkness'), light: t('crops.light'), either: t('crops.eitherLightOrDark') }[
            crop.germinationLight
          ]
        )
      ]
    },
    {
      heading: t('crops.inGoodLightAt', { temperature: temperature(TABLE_C, units) }),
      facts: [
        fact(t('crops.rooted'), t('crops.rooteddDays', { rootedD21: figure(crop.rootedD21) })),
        fact(
          t('crops.readyLight'),
          t('crops.lightreadydDays', { lightReadyD21: figure(crop.lightReadyD21) })
        ),
        fact(
          t('crops.window'),
          t('crops.dayWindowopendWindowclosedBestAbout', {
            windowOpenD21: figure(crop.windowOpenD21),
            windowCloseD21: figure(crop.windowCloseD21),
            windowBestD21: figure(crop.windowBestD21)
          })
        ),
        fact(t('crops.cutWhen'), CUE[crop.harvestCue]),
        fact(
          t('crops.variesBy'),
          t('crops.durationcvFromSowingSowing', { durationCv: Math.round(crop.durationCv * 100) })
        )
      ]
    },
    {
      heading: t('crops.warmth'),
      facts: [
        fact(
          t('crops.growsBetween'),
          range(temperature(crop.baseC, units), temperature(crop.maximumC, units))
        ),
        fact(t('crops.fastestAt'), temperature(crop.optimumC, units)),
        fact(t('crops.keepBelow'), temperature(crop.keepBelowC, units))
      ]
    },
    {
      heading: t('crops.harvest'),
      facts: [
        fact(t('crops.height'), range(length(crop.heightMinCm, units), length(crop.heightMaxCm, units))),
        fact(
          t('crops.yield'),
          t('crops.yieldperareaYieldperareaYieldperarea', {
            yieldPerArea: yieldPerArea(crop.yieldMidGM2, units),
            yieldPerArea2: yieldPerArea(crop.yieldLowGM2, units),
            yieldPerArea3: yieldPerArea(crop.yieldHighGM2, units)
          })
        ),
        fact(t('crops.keeps'), keepsWords(crop.keepsMinD, crop.keepsMaxD, crop.keepAtC, units)),
        fact(t('crops.growsAgain'), crop.regrows ? t('crops.moreWeakly') : t('crops.no')),
        fact(t('crops.mouldRisk'), crop.mouldRisk),
        fact(
          t('crops.hurtByDrought'),
          { low: t('crops.little'), medium: t('crops.somewhat'), high: t('crops.badly') }[crop.droughtRisk]
        )
      ]
    }
  ];
}

/** How long it keeps, and how cold: what the cold blackens is kept at its own warmth. */
export const keepsWords = (minD: number, maxD: number, keepAtC: number, units: Units): string =>
  keepAtC > 5
    ? t('crops.mindMaxdDaysAtAbout', { minD, maxD, temperature: temperature(keepAtC, units) })
    : t('crops.mindMaxdDaysAtOr', { minD, maxD, temperature: temperature(keepAtC, units) });

/** How long from sowing to cutting, at a glance. */
export const cropSpan = (crop: Crop, units: Units): string =>
  t('crops.daysAt', {
    opens: figure(crop.windowOpenD21),
    closes: figure(crop.windowCloseD21),
    temperature: temperature(TABLE_C, units)
  });
