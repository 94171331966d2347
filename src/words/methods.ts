import { t } from '$messages/t.ts';
import type { Answers, MethodFigure, Question, Spray } from '$core/supplies/methods/method.ts';

interface QuestionWords<Q extends Question> {
  ask: string;
  /** Each answer, with what it costs and gains in one line. */
  answers: Record<Answers[Q], { text: string; turns: string }>;
}

/** The questions growers disagree on, in words. No answer is wrong. */
export const QUESTION_WORDS: { [Q in Question]: QuestionWords<Q> } = {
  germinationWater: {
    get ask() {
      return t('methods.waterWhileGerminates');
    },
    answers: {
      shut: {
        get text() {
          return t('methods.onceThenShut');
        },
        get turns() {
          return t('methods.fewerOpeningsLetLessMould');
        }
      },
      daily: {
        get text() {
          return t('methods.mistedOnceDay');
        },
        get turns() {
          return t('methods.savesGelSeedMatsEach');
        }
      },
      twice: {
        get text() {
          return t('methods.mistedMorningEvening');
        },
        get turns() {
          return t('methods.kindestCorianderThinMatsMost');
        }
      }
    }
  },
  firstWater: {
    get ask() {
      return t('methods.mediumWatered');
    },
    answers: {
      'before-seed': {
        get text() {
          return t('methods.beforeSeed');
        },
        get turns() {
          return t('methods.seedSticksWhereFallsGood');
        }
      },
      'after-seed': {
        get text() {
          return t('methods.afterSeed');
        },
        get turns() {
          return t('methods.seedCanStillBeSpread');
        }
      },
      'from-below': {
        get text() {
          return t('methods.fromBelowBeforeSeed');
        },
        get turns() {
          return t('methods.evenlyDampDryTopSpread');
        }
      }
    }
  },
  seedCover: {
    get ask() {
      return t('methods.seed');
    },
    answers: {
      bare: {
        get text() {
          return t('methods.leftBarePressed');
        },
        get turns() {
          return t('methods.cleanestCutDriesSooner');
        }
      },
      medium: {
        get text() {
          return t('methods.coveredThinlyWithMedium');
        },
        get turns() {
          return t('methods.holdsDampPullsHullsOff');
        }
      },
      vermiculite: {
        get text() {
          return t('methods.coveredWithVermiculite');
        },
        get turns() {
          return t('methods.asMediumLighterCleanerDust');
        }
      }
    }
  },
  pressing: {
    get ask() {
      return t('methods.onSeedLies');
    },
    answers: {
      weight: {
        get text() {
          return t('methods.weightByCrop');
        },
        get turns() {
          return t('methods.rootsGoDownHullsCome');
        }
      },
      stacked: {
        get text() {
          return t('methods.stackedTray');
        },
        get turns() {
          return t('methods.traysPressEachSaveRoom');
        }
      },
      late: {
        get text() {
          return t('methods.lidThenWeight');
        },
        get turns() {
          return t('methods.sproutsDarkThenPressedDay');
        }
      },
      none: {
        get text() {
          return t('methods.nothingButLid');
        },
        get turns() {
          return t('methods.nothingCrushedRootsMayLift');
        }
      }
    }
  },
  darkness: {
    get ask() {
      return t('methods.onceHasRooted');
    },
    answers: {
      dome: {
        get text() {
          return t('methods.darkDomeThenLight');
        },
        get turns() {
          return t('methods.longerMoreEvenStemsAgainst');
        }
      },
      straight: {
        get text() {
          return t('methods.straightLight');
        },
        get turns() {
          return t('methods.shorterStrongerStemsLessMould');
        }
      },
      none: {
        get text() {
          return t('methods.noDarknessAtAll');
        },
        get turns() {
          return t('methods.leastHandlingSeedWantsDark');
        }
      },
      days: {
        get text() {
          return t('methods.setNumberDaysDark');
        },
        get turns() {
          return t('methods.countedFromSowingGrassesToo');
        }
      }
    }
  },
  dome: {
    get ask() {
      return t('methods.domeComesOff');
    },
    answers: {
      even: {
        get text() {
          return t('methods.whenStemsEven');
        },
        get turns() {
          return t('methods.followsCropSoNeedsLook');
        }
      },
      days: {
        get text() {
          return t('methods.afterSetNumberDays');
        },
        get turns() {
          return t('methods.easyPlanCoolWeekLeaves');
        }
      },
      rim: {
        get text() {
          return t('methods.whenStemsStandOverRim');
        },
        get turns() {
          return t('methods.tallStemsEasyCutWith');
        }
      }
    }
  },
  sillLight: {
    get ask() {
      return t('methods.onWindowsill');
    },
    answers: {
      'at-once': {
        get text() {
          return t('methods.fullSunFromStart');
        },
        get turns() {
          return t('methods.fastestStrongSunCanWilt');
        }
      },
      shaded: {
        get text() {
          return t('methods.shadeFirstThenSun');
        },
        get turns() {
          return t('methods.paperOrThinClothKeeps');
        }
      }
    }
  },
  lightWater: {
    get ask() {
      return t('methods.waterLight');
    },
    answers: {
      below: {
        get text() {
          return t('methods.fromBelow');
        },
        get turns() {
          return t('methods.leavesStayDrySoCleaner');
        }
      },
      'first-above': {
        get text() {
          return t('methods.firstFromAboveThenBelow');
        },
        get turns() {
          return t('methods.washesHullsOffOnceLeaves');
        }
      },
      mist: {
        get text() {
          return t('methods.alwaysFineMist');
        },
        get turns() {
          return t('methods.whatSmallCellsMatsNeed');
        }
      }
    }
  },
  matWater: {
    get ask() {
      return t('methods.matsPaperWatered');
    },
    answers: {
      'as-dry': {
        get text() {
          return t('methods.asTheyDry');
        },
        get turns() {
          return t('methods.leastWorkTrayBelowHolds');
        }
      },
      'poured-once': {
        get text() {
          return t('methods.pouredThroughOnceDay');
        },
        get turns() {
          return t('methods.liftPourThroughLetDrain');
        }
      },
      'poured-twice': {
        get text() {
          return t('methods.pouredThroughTwiceDay');
        },
        get turns() {
          return t('methods.sameMorningEveningSafestOn');
        }
      }
    }
  },
  mediumDepth: {
    get ask() {
      return t('methods.depthLooseMedium');
    },
    answers: {
      usual: {
        get text() {
          return t('methods.usualAboutMm');
        },
        get turns() {
          return t('methods.roomRootsWaterDayOr');
        }
      },
      thin: {
        get text() {
          return t('methods.thinMm');
        },
        get turns() {
          return t('methods.cheapLightDriesFastSo');
        }
      },
      deep: {
        get text() {
          return t('methods.deepMm');
        },
        get turns() {
          return t('methods.holdsWaterDaysFeedsLong');
        }
      }
    }
  },
  feed: {
    get ask() {
      return t('methods.feed');
    },
    answers: {
      none: {
        get text() {
          return t('methods.none');
        },
        get turns() {
          return t('methods.shortCropsLiveFromSeed');
        }
      },
      half: {
        get text() {
          return t('methods.halfStrengthFromFirstLight');
        },
        get turns() {
          return t('methods.longCropsPoorMediaGain');
        }
      },
      reservoir: {
        get text() {
          return t('methods.fullStrengthReservoir');
        },
        get turns() {
          return t('methods.whatMeshLivesFromFrom');
        }
      },
      'reservoir-half': {
        get text() {
          return t('methods.halfStrengthReservoir');
        },
        get turns() {
          return t('methods.fromFirstFillOnSlower');
        }
      }
    }
  },
  peroxide: {
    get ask() {
      return t('methods.peroxideWater');
    },
    answers: {
      none: {
        get text() {
          return t('methods.none');
        },
        get turns() {
          return t('methods.plainWaterNothingHandle');
        }
      },
      weak: {
        get text() {
          return t('methods.weakAllWater');
        },
        get turns() {
          return t('methods.disputedSomeSeeLessMould');
        }
      },
      'at-sowing': {
        get text() {
          return t('methods.atSowingOnly');
        },
        get turns() {
          return t('methods.disputedAsWellOneCareful');
        }
      }
    }
  },
  disinfect: {
    get ask() {
      return t('methods.seedDisinfected');
    },
    answers: {
      none: {
        get text() {
          return t('methods.notAtAll');
        },
        get turns() {
          return t('methods.nothingStrongHandleRoughSeed');
        }
      },
      hypochlorite: {
        get text() {
          return t('methods.withHypochlorite');
        },
        get turns() {
          return t('methods.lowersWhatRoughSeedCarries');
        }
      },
      peroxide: {
        get text() {
          return t('methods.withPeroxide');
        },
        get turns() {
          return t('methods.leavesOnlyWaterBehindStrong');
        }
      }
    }
  },
  leafStage: {
    get ask() {
      return t('methods.cutAt');
    },
    answers: {
      usual: {
        get text() {
          return t('methods.cropsUsualStage');
        },
        get turns() {
          return t('methods.asPageSays');
        }
      },
      'seed-leaves': {
        get text() {
          return t('methods.seedLeaves');
        },
        get turns() {
          return t('methods.soonestMildestSmallestHarvest');
        }
      },
      'true-leaf': {
        get text() {
          return t('methods.firstTrueLeaf');
        },
        get turns() {
          return t('methods.aboutHalfAsLongAgain');
        }
      },
      'third-leaf': {
        get text() {
          return t('methods.thirdTrueLeaf');
        },
        get turns() {
          return t('methods.aboutTwiceAsLongStrong');
        }
      }
    }
  },
  cutting: {
    get ask() {
      return t('methods.cutWith');
    },
    answers: {
      scissors: {
        get text() {
          return t('methods.scissors');
        },
        get turns() {
          return t('methods.saferQuickerPotsBruisesLittle');
        }
      },
      knife: {
        get text() {
          return t('methods.sharpKnife');
        },
        get turns() {
          return t('methods.cleanCutKeepsLongerMind');
        }
      }
    }
  },
  washing: {
    get ask() {
      return t('methods.afterCut');
    },
    answers: {
      unwashed: {
        get text() {
          return t('methods.keptDryUnwashed');
        },
        get turns() {
          return t('methods.keepsDaysLongerWashBefore');
        }
      },
      washed: {
        get text() {
          return t('methods.washedSpun');
        },
        get turns() {
          return t('methods.readyEatCostsTwoOr');
        }
      }
    }
  },
  taking: {
    get ask() {
      return t('methods.taken');
    },
    answers: {
      whole: {
        get text() {
          return t('methods.wholeTrayAtOnce');
        },
        get turns() {
          return t('methods.trayFreeAgainGreensGo');
        }
      },
      strip: {
        get text() {
          return t('methods.stripDay');
        },
        get turns() {
          return t('methods.alwaysFreshLastStripPast');
        }
      }
    }
  }
};

/** Questions that are thought about together, in the order of the work. */
export const QUESTION_GROUPS: readonly { title: string; questions: readonly Question[] }[] = [
  {
    get title() {
      return t('methods.sowing');
    },
    questions: ['firstWater', 'seedCover', 'pressing', 'mediumDepth', 'disinfect']
  },
  {
    get title() {
      return t('methods.darkLight');
    },
    questions: ['darkness', 'dome', 'sillLight']
  },
  {
    get title() {
      return t('methods.waterFeed');
    },
    questions: ['germinationWater', 'lightWater', 'matWater', 'feed', 'peroxide']
  },
  {
    get title() {
      return t('methods.cut');
    },
    questions: ['leafStage', 'cutting', 'washing', 'taking']
  }
];

/** What a figure of a method is called, by the answer that asks for it. */
export const FIGURE_WORDS: Record<MethodFigure, string> = {
  get domeDays() {
    return t('methods.daysUnderDome');
  },
  get domeCm() {
    return t('methods.heightOverRim');
  },
  get darkDays() {
    return t('methods.daysDarkFromSowing');
  },
  get shadeDays() {
    return t('methods.daysShadeFromSowing');
  }
};

/** One answer in words. */
export const answerWords = <Q extends Question>(
  question: Q,
  answer: Answers[Q]
): { text: string; turns: string } => (QUESTION_WORDS[question] as QuestionWords<Q>).answers[answer];

/** What a method sprays, in one line. */
export const spraysWords = (sprays: readonly Spray[]): string =>
  sprays.length === 0
    ? t('methods.none')
    : sprays
        .map(({ name, timesADay }) => t('methods.nameOnceDayMorningEvening', { name, timesADay }))
        .join('; ');
