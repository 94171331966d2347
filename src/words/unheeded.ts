import { t } from '$messages/t.ts';
import type { Unheeded } from '$core/supplies/methods/path.ts';

/** Why an answer of a method is not what happens to a crop, in one line. */
export function unheededWords({ question, why }: Unheeded): string {
  switch (why) {
    case 'needs-light':
      return question === 'seedCover'
        ? t('methods.sproutsLightSeedStaysBare')
        : question === 'pressing'
          ? t('methods.sproutsLightStandsUnderClear')
          : t('methods.sproutsLightHasNoDarkness');
    case 'needs-dark':
      return t('methods.sproutsDarkKeepsLidUntil');
    case 'stays-dark':
      return question === 'feed'
        ? t('methods.staysDarkEndNotFed')
        : question === 'germinationWater'
          ? t('methods.wateredOnceAtSowingOnce')
          : question === 'dome'
            ? t('methods.staysDarkEndLiftsOwn')
            : t('methods.staysDarkEndEatenPale');
    case 'grass':
      return question === 'dome'
        ? t('methods.grassHasNoDome')
        : question === 'pressing'
          ? t('methods.grassNothingPressesOn')
          : t('methods.grassSproutsOpenNeedsNo');
    case 'even-at-once':
      return t('methods.readyLightAsSoonAs');
    case 'open':
      return question === 'germinationWater'
        ? t('methods.openNothingHoldsDampMisted')
        : t('methods.withoutDarknessSeedLiesOpen');
    case 'gel':
      return question === 'firstWater'
        ? t('methods.gelsNothingPouredOnSeed')
        : t('methods.gelsDriesOutShutMisted');
    case 'gel-never-wet':
      return t('methods.gelsWhenWetSeedNever');
    case 'clear':
      return question === 'pressing'
        ? t('methods.standsUnderClearDomeWith')
        : t('methods.standsUnderClearLidMisted');
    case 'bears-none':
      return t('methods.bearsNoWeightGetsLid');
    case 'layer':
      return t('methods.layerOnSeedTakesPlace');
    case 'must-cover':
      return t('methods.wantsLieDeepCoveredWhatever');
    case 'not-disinfected':
      return t('methods.notDisinfectedDoesSeedNo');
    case 'no-reservoir':
      return t('methods.containerHasNoReservoirFed');
    case 'reservoir':
      return t('methods.standsOverReservoirWaterGoes');
    case 'pool':
      return t('methods.livesFromLittleWaterTray');
    case 'bare-tray':
      return question === 'firstWater'
        ? t('methods.thereNoMediumDampFilm')
        : question === 'germinationWater'
          ? t('methods.withoutMediumNothingHoldsDamp')
          : t('methods.withoutMediumSeedDriesOpen');
    case 'no-dome':
      return t('methods.hasNoDomeUnderMethod');
    case 'never-so-high':
      return t('methods.stemsWouldNotStandHigh');
    case 'no-sill':
      return t('methods.doesNotStandOnWindowsill');
    case 'dark-until-then':
      return t('methods.staysDarkUntilThenAnyway');
    case 'no-mat':
      return t('methods.doesNotStandOnMat');
    case 'not-loose':
      return t('methods.matOrPaperAsThick');
    case 'shallow':
      return t('methods.containerTooShallowFilledJust');
    case 'no-leaf-stage':
      return t('methods.notCutByLeavesBut');
    case 'hulls':
      return t('methods.mistedOnceDaySoHulls');
  }
}
