import { t } from '$messages/t.ts';
import type { CropProblem } from '$core/crops/check.ts';
import { MOST_SEEDS_CM2 } from '$core/crops/check.ts';
import {
  FIGURES,
  type FigureGroup,
  type FigureKey,
  type Figures,
  type OneOfKey
} from '$core/crops/figures.ts';
import { REFUSED_WORDS } from './plantNames.ts';

/** What each figure of a crop is called. */
export const FIGURE_NAMES: Record<FigureKey, string> = {
  get thousandSeedWeightG() {
    return t('crops.weightSeeds');
  },
  get germinationPct() {
    return t('crops.usualGermination');
  },
  get soakMinH() {
    return t('crops.shortestSoak');
  },
  get soakBestH() {
    return t('crops.bestSoak');
  },
  get soakMaxH() {
    return t('crops.longestSoak');
  },
  get drainH() {
    return t('crops.drain');
  },
  get pressMinGCm2() {
    return t('crops.leastWeight');
  },
  get pressMaxGCm2() {
    return t('crops.mostWeight');
  },
  get baseC() {
    return t('crops.growsFrom');
  },
  get optimumC() {
    return t('crops.fastestAt');
  },
  get maximumC() {
    return t('crops.stopsAt');
  },
  get keepBelowC() {
    return t('crops.keepBelow');
  },
  get rootedD21() {
    return t('crops.rooted');
  },
  get lightReadyD21() {
    return t('crops.readyLight');
  },
  get windowOpenD21() {
    return t('crops.windowOpens');
  },
  get windowBestD21() {
    return t('crops.best');
  },
  get windowCloseD21() {
    return t('crops.windowCloses');
  },
  get durationCv() {
    return t('crops.variesBy');
  },
  get heightMinCm() {
    return t('crops.shortest');
  },
  get heightMaxCm() {
    return t('crops.tallest');
  },
  get yieldLowGM2() {
    return t('crops.lowYield');
  },
  get yieldMidGM2() {
    return t('crops.usualYield');
  },
  get yieldHighGM2() {
    return t('crops.highYield');
  },
  get keepsMinD() {
    return t('crops.keepsAtLeast');
  },
  get keepsMaxD() {
    return t('crops.keepsAtMost');
  },
  get keepAtC() {
    return t('crops.keepsAt');
  },
  get gelSeed() {
    return t('crops.seedTurnsGelWhenWet');
  },
  get disinfect() {
    return t('crops.disinfecting');
  },
  get cover() {
    return t('crops.coverSeed');
  },
  get germinationLight() {
    return t('crops.sprouts');
  },
  get harvestCue() {
    return t('crops.cutWhen');
  },
  get mouldRisk() {
    return t('crops.mouldRisk');
  },
  get droughtRisk() {
    return t('crops.hurtByDrought');
  },
  get regrows() {
    return t('crops.growsAgain');
  }
};

/** What a group of figures is headed with. */
export const GROUP_NAMES: Record<FigureGroup, string> = {
  get seed() {
    return t('crops.seed');
  },
  get soak() {
    return t('crops.soak');
  },
  get sowing() {
    return t('crops.sowing');
  },
  get days() {
    return t('crops.daysFromSowingAtSteady');
  },
  get warmth() {
    return t('crops.warmth');
  },
  get harvest() {
    return t('crops.harvest');
  }
};

/** The answers of a figure that has only some. */
export const ANSWER_NAMES: { [K in OneOfKey]: Record<Figures[K], string> } = {
  disinfect: {
    get no() {
      return t('crops.notNeeded');
    },
    get optional() {
      return t('crops.asYouWish');
    },
    get advised() {
      return t('crops.advised');
    }
  },
  cover: {
    get none() {
      return t('crops.no');
    },
    get thin() {
      return t('crops.thinly');
    },
    get full() {
      return t('crops.fully');
    }
  },
  germinationLight: {
    get dark() {
      return t('crops.dark');
    },
    get light() {
      return t('crops.light');
    },
    get either() {
      return t('crops.either');
    }
  },
  harvestCue: {
    get cotyledon() {
      return t('crops.seedLeavesOpen');
    },
    get 'true-leaf'() {
      return t('crops.firstTrueLeafShows');
    },
    get 'third-leaf'() {
      return t('crops.thirdTrueLeafShows');
    },
    get height() {
      return t('crops.tallEnough');
    },
    get tips() {
      return t('crops.tipsLong');
    }
  },
  mouldRisk: {
    get low() {
      return t('crops.low');
    },
    get medium() {
      return t('crops.medium');
    },
    get high() {
      return t('crops.high');
    }
  },
  droughtRisk: {
    get low() {
      return t('crops.little');
    },
    get medium() {
      return t('crops.somewhat');
    },
    get high() {
      return t('crops.badly');
    }
  }
};

/** What is wrong with a crop, by its field, and what to do. */
export const cropProblemWords = (problems: readonly CropProblem[]): Record<string, string> =>
  Object.fromEntries(problems.map((problem) => [problem.field, sayOf(problem)]));

function sayOf(problem: CropProblem): string {
  switch (problem.code) {
    case 'nameless':
      return t('crops.giveCropName');
    case 'refused':
      return REFUSED_WORDS[problem.why];
    case 'density':
      return t('crops.enterDensityOverUpMost', {
        MOST_SEEDS_CM2,
        MOST_SEEDS_CM22: Math.round(MOST_SEEDS_CM2 * 6.4516)
      });
    case 'densities-fall':
      return t('crops.sparseMustNotBeMore');
    case 'out-of-bounds': {
      const { bounds, unit } = FIGURES[problem.field];
      return t('crops.fieldMustLieBetweenBounds', {
        field: FIGURE_NAMES[problem.field],
        bounds: bounds[0],
        bounds2: bounds[1],
        unit
      });
    }
    case 'falls':
      return t('crops.fieldMustBeMoreThan', {
        field: FIGURE_NAMES[problem.field],
        when: problem.strictly ? 'yes' : 'no',
        after: FIGURE_NAMES[problem.after]
      });
  }
}
