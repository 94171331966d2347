import { t } from '$messages/t.ts';
import type { StepBody } from '$core/steps/step.ts';

/** Cautions by the hazard, shown at the step where it is. Each says who decides. */
export const CAUTIONS = {
  get hypochlorite() {
    return t('cautions.plainUnscentedProductOnlyRead');
  },
  get peroxide() {
    return t('cautions.overBurnsSkinEGloves');
  },
  get ownSpray() {
    return t('cautions.onlyWhatMayBeUsed');
  },
  get germs() {
    return t('cautions.warmWetGrowsGermsToo');
  },
  get seed() {
    return t('cautions.onlyUntreatedSeedSoldSprouting');
  },
  get dust() {
    return t('cautions.dampDryMediumBeforeYou');
  },
  get lamp() {
    return t('cautions.lampNearWaterResidualCurrent');
  },
  get load() {
    return t('cautions.sumWetTraysWeightsAgainst');
  },
  get mould() {
    return t('cautions.ifDoubtThrowOutOutdoors');
  },
  get cut() {
    return t('cautions.cutAwayFromYourHand');
  },
  get juice() {
    return t('cautions.rawGrassJuiceSpoilsQuickly');
  },
  get keeping() {
    return t('cautions.datesRefrigeratorAtOrBelow');
  },
  get giving() {
    return t('cautions.whatMayBeGivenAway');
  },
  get dip() {
    return t('cautions.plainUnscentedHypochloriteOnlyStrength');
  },
  get stains() {
    return t('cautions.neverMixStainRemoverWith');
  },
  get fodder() {
    return t('cautions.onlyAnimalsMayEatCrop');
  },
  get spray() {
    return t('cautions.peroxideAtOwnSprayerNever');
  },
  get weights() {
    return t('cautions.weightsLowCentredOnShelf');
  }
} as const;

/** The hazard that stands at a step of the round; null for none. */
export function stepCaution(body: StepBody): string | null {
  switch (body.kind) {
    case 'soak':
      return CAUTIONS.germs;
    case 'sow':
      return CAUTIONS.dust;
    case 'light':
      return body.where === 'lamp' ? CAUTIONS.lamp : null;
    case 'uncover':
      return body.to === 'light' && body.where === 'lamp' ? CAUTIONS.lamp : null;
    case 'mist':
    case 'water':
      return body.peroxideMl > 0 ? CAUTIONS.peroxide : null;
    default:
      return null;
  }
}
