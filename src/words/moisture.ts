import { t } from '$messages/t.ts';
import type { Moisture } from '$core/water/bucket.ts';

/** What a medium looks and feels like: on a chip, and as it was told. */
export const MOISTURE_WORDS: Record<Moisture, { chip: string; told: string }> = {
  dry: {
    get chip() {
      return t('tray.dry');
    },
    get told() {
      return t('tray.dry2');
    }
  },
  right: {
    get chip() {
      return t('tray.right');
    },
    get told() {
      return t('tray.dampJustRight');
    }
  },
  wet: {
    get chip() {
      return t('tray.wet');
    },
    get told() {
      return t('tray.wet2');
    }
  },
  standing: {
    get chip() {
      return t('tray.waterStillStands');
    },
    get told() {
      return t('tray.waterStillStandsUnder');
    }
  }
};
