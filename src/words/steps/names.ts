import { t } from '$messages/t.ts';
import type { Cleaning } from '$core/sowing/event.ts';
import type { StepKind } from '$core/steps/step.ts';

/** What each step is called, as the heading of its section. */
export const STEP_NAMES: Record<StepKind, string> = {
  get weigh() {
    return t('steps.weigh');
  },
  get rinse() {
    return t('steps.rinse');
  },
  get disinfect() {
    return t('steps.disinfect');
  },
  get 'rinse-off'() {
    return t('steps.rinseOff');
  },
  get soak() {
    return t('steps.soak');
  },
  get drain() {
    return t('steps.drain');
  },
  get fill() {
    return t('steps.fill');
  },
  get damp() {
    return t('steps.damp');
  },
  get sow() {
    return t('steps.sow');
  },
  get cover() {
    return t('steps.cover');
  },
  get mist() {
    return t('steps.mist');
  },
  get press() {
    return t('steps.pressOrShut');
  },
  get weight() {
    return t('steps.layWeightOn');
  },
  get uncover() {
    return t('steps.uncover');
  },
  get light() {
    return t('steps.firstLight');
  },
  get unshade() {
    return t('steps.takeShadeOff');
  },
  get water() {
    return t('steps.water');
  },
  get spray() {
    return t('steps.spray');
  },
  get turn() {
    return t('steps.turn');
  },
  get air() {
    return t('steps.air');
  },
  get dry() {
    return t('steps.dryHours');
  },
  get cut() {
    return t('steps.cut');
  },
  get wash() {
    return t('steps.afterCut');
  },
  get keep() {
    return t('steps.keep');
  },
  get clean() {
    return t('steps.clean');
  }
};

/** What the hands do for every line of a section, once. */
export const STEP_LEADS: Partial<Record<StepKind, string>> = {
  get weigh() {
    return t('steps.putEmptyCupOnScale');
  },
  get rinse() {
    return t('steps.sieveUnderRunningWaterUntil');
  },
  get 'rinse-off'() {
    return t('steps.underRunningWaterUntilNo');
  },
  get soak() {
    return t('steps.coolDrinkingWaterJarCovered');
  },
  get drain() {
    return t('steps.tipIntoSieveRinseUntil');
  },
  get fill() {
    return t('steps.levelMmBelowRimDo');
  },
  get sow() {
    return t('steps.spreadEvenlyEdgesWithNo');
  }
};

/** What is done to an emptied container. */
export const CLEANING_NAMES: Record<Cleaning, string> = {
  get empty() {
    return t('steps.empty');
  },
  get scrape() {
    return t('steps.scrapeMesh');
  },
  get reservoir() {
    return t('steps.emptyReservoir');
  },
  get 'stain-soak'() {
    return t('steps.soakOutStains');
  },
  get wash() {
    return t('steps.wash');
  },
  get disinfect() {
    return t('steps.disinfect');
  },
  get dry() {
    return t('steps.dry');
  }
};

/** Some steps of cleaning in one line. */
export const cleaningNames = (steps: readonly Cleaning[]): string =>
  steps
    .map((step, nth) => (nth === 0 ? CLEANING_NAMES[step] : CLEANING_NAMES[step].toLowerCase()))
    .join(', ');
