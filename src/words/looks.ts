import { t } from '$messages/t.ts';
import type { Crop } from '$core/crops/crop.ts';
import { isGrass } from '$core/crops/traits.ts';
import type { Loss } from '$core/diagnosis/answer.ts';
import type { Cause, Evidence } from '$core/diagnosis/causes.ts';
import type { Check } from '$core/diagnosis/checks.ts';
import type { MouldDriver } from '$core/diagnosis/mould.ts';
import type { Symptom } from '$core/symptoms/symptom.ts';
import { figure, length, temperature, type Units } from '$core/units/format.ts';
import { MEDIUM_WORDS } from './media.ts';

/** A sight as a chip says it. */
export const SYMPTOM_WORDS: Record<Symptom, string> = {
  get tails() {
    return t('looks.tailsShowing');
  },
  get hairs() {
    return t('looks.whiteHairsRoundRoots');
  },
  get mould() {
    return t('looks.threadsAcrossSeedOrStems');
  },
  get 'fallen-dry'() {
    return t('looks.stemsHangMediumDry');
  },
  get 'fallen-rot'() {
    return t('looks.stemsFallFootThinBrown');
  },
  get bent() {
    return t('looks.stemsBentOverNotLimp');
  },
  get stretched() {
    return t('looks.longThinPaleButUpright');
  },
  get weak() {
    return t('looks.shortLimp');
  },
  get pale() {
    return t('looks.paleAfterDaysLight');
  },
  get bleached() {
    return t('looks.yellowOrWhitePatchesOn');
  },
  get scorched() {
    return t('looks.tipsBrownCrisp');
  },
  get hungry() {
    return t('looks.lowerLeavesYellowFirst');
  },
  get hulls() {
    return t('looks.hullsStuckOnLeaves');
  },
  get patchy() {
    return t('looks.barePatches');
  },
  get 'true-leaf'() {
    return t('looks.firstTrueLeaf');
  },
  get 'tastes-ready'() {
    return t('looks.tastesReady');
  },
  get bitter() {
    return t('looks.tastesBitter');
  },
  get fibrous() {
    return t('looks.stringyChew');
  }
};

/** A sight as it is called on a crop: the second leaf of a grass is a blade. */
export const symptomWords = (sight: Symptom, crop: Crop): string =>
  sight === 'true-leaf' && isGrass(crop) ? t('looks.secondBlade') : SYMPTOM_WORDS[sight];

/** What drives the mould risk, as it begins a sentence. */
export const MOULD_WORDS: Record<MouldDriver, string> = {
  get covered() {
    return t('looks.wasLongWarmUnderCover');
  },
  get 'damp-air'() {
    return t('looks.airHereHasBeenDamp');
  },
  get crop() {
    return t('looks.cropMouldsEasily');
  },
  get crowded() {
    return t('looks.standsThick');
  },
  get seen() {
    return t('looks.youSawMould');
  }
};

interface CauseWords {
  /** What it most likely is. */
  is: string;
  now: string;
  next: string;
}

/** What each cause means, in the order: what it is, what to do now, what to change next time. */
export const CAUSE_WORDS: Record<Cause, CauseWords> = {
  'root-hairs': {
    get is() {
      return t('looks.rootHairsHealthy');
    },
    get now() {
      return t('looks.nothingMistOneHairsLie');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  mould: {
    get is() {
      return t('looks.mould');
    },
    get now() {
      return t('looks.offWithCoverAirAt');
    },
    get next() {
      return t('looks.sowLittleThinnerWaterLess');
    }
  },
  'hairs-after-all': {
    get is() {
      return t('looks.perhapsRootHairsAfterAll');
    },
    get now() {
      return t('looks.mistOneSpotLookAgain');
    },
    get next() {
      return t('looks.nothingChangeYet');
    }
  },
  dry: {
    get is() {
      return t('looks.hasRunDry');
    },
    get now() {
      return t('looks.waterFromBelowKeepOut');
    },
    get next() {
      return t('looks.liftTrayAtEachRound');
    }
  },
  draught: {
    get is() {
      return t('looks.airDriesFasterThanDrinks');
    },
    get now() {
      return t('looks.moveOutDraughtOrTurn');
    },
    get next() {
      return t('looks.letFanMoveAirNot');
    }
  },
  'long-dark': {
    get is() {
      return t('looks.tooLongDark');
    },
    get now() {
      return t('looks.bringLightTodaySupportAgainst');
    },
    get next() {
      return t('looks.lookEvenStemsRoundEarlier');
    }
  },
  'damping-off': {
    get is() {
      return t('looks.dampingOffRotAtFoot');
    },
    get now() {
      return t('looks.takeOutWhatHasFallen');
    },
    get next() {
      return t('looks.freshMediumLessWaterUnder');
    }
  },
  dim: {
    get is() {
      return t('looks.tooLittleLight');
    },
    get now() {
      return t('looks.moveCloserGlassOrUnder');
    },
    get next() {
      return t('looks.chooseBrighterPlaceCropWinter');
    }
  },
  'faint-lamp': {
    get is() {
      return t('looks.lampGivesTooLittleLight');
    },
    get now() {
      return t('looks.hangLampLowerOrLet');
    },
    get next() {
      return t('looks.keepCloserOrSetLonger');
    }
  },
  'bent-by-weight': {
    get is() {
      return t('looks.bentUnderWeightAsShould');
    },
    get now() {
      return t('looks.nothingStemsStraightenWithinDay');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  'second-blade': {
    get is() {
      return t('looks.secondBladeTimeCut');
    },
    get now() {
      return t('looks.cutNowIfHasWait');
    },
    get next() {
      return t('looks.lookSecondBladeFromOpening');
    }
  },
  'old-grass': {
    get is() {
      return t('looks.pastBestGrassOld');
    },
    get now() {
      return t('looks.cutNowJuiceOrClear');
    },
    get next() {
      return t('looks.cutAsSecondBladeComes');
    }
  },
  'too-warm': {
    get is() {
      return t('looks.tooWarm');
    },
    get now() {
      return t('looks.moveSomewhereCooler');
    },
    get next() {
      return t('looks.awayFromOvenRadiatorLamps');
    }
  },
  crowded: {
    get is() {
      return t('looks.standsTooThick');
    },
    get now() {
      return t('looks.nothingCutLittleEarlier');
    },
    get next() {
      return t('looks.sowAtUsualDensity');
    }
  },
  cold: {
    get is() {
      return t('looks.tooColdWaits');
    },
    get now() {
      return t('looks.moveSomewhereWarmerOrWait');
    },
    get next() {
      return t('looks.chooseWarmerPlaceFirstDays');
    }
  },
  'old-seed': {
    get is() {
      return t('looks.weakSeed');
    },
    get now() {
      return t('looks.nothingWhatHasComeUp');
    },
    get next() {
      return t('looks.testTwentySeedsDampTowel');
    }
  },
  'just-lit': {
    get is() {
      return t('looks.hasOnlyJustComeLight');
    },
    get now() {
      return t('looks.waitGreensWithinTwoDays');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  unfed: {
    get is() {
      return t('looks.hasUsedUpWhatWas');
    },
    get now() {
      return t('looks.waterOnceWithFeedAt');
    },
    get next() {
      return t('looks.chooseMethodWithFeedCrops');
    }
  },
  'lamp-close': {
    get is() {
      return t('looks.lampTooCloseOrToo');
    },
    get now() {
      return t('looks.hangHigherScorchedTipsStay');
    },
    get next() {
      return t('looks.keepCmMoreAboveLeaves');
    }
  },
  'dry-air': {
    get is() {
      return t('looks.veryDryAir');
    },
    get now() {
      return t('looks.moveOffHeatingDishWater');
    },
    get next() {
      return t('looks.damperPlaceOrLidDay');
    }
  },
  'strong-feed': {
    get is() {
      return t('looks.feedTooStrong');
    },
    get now() {
      return t('looks.waterWithPlainWaterUntil');
    },
    get next() {
      return t('looks.feedAtHalfStrength');
    }
  },
  waterlogged: {
    get is() {
      return t('looks.rootsStandWater');
    },
    get now() {
      return t('looks.pourOffWhatStandsTilt');
    },
    get next() {
      return t('looks.pourNoMoreThanRound');
    }
  },
  unpressed: {
    get is() {
      return t('looks.nothingPressedOnSoHulls');
    },
    get now() {
      return t('looks.mistThemPutLidOn');
    },
    get next() {
      return t('looks.pressOrStrewThinLayer');
    }
  },
  'dry-hulls': {
    get is() {
      return t('looks.hullsDriedOnBeforeThey');
    },
    get now() {
      return t('looks.mistThemPutLidOn');
    },
    get next() {
      return t('looks.keepSeedDampUnderCover');
    }
  },
  clinging: {
    get is() {
      return t('looks.cropsHullsCling');
    },
    get now() {
      return t('looks.mistThemEveningBrushDry');
    },
    get next() {
      return t('looks.pressDayLongerKeepDamp');
    }
  },
  unsoaked: {
    get is() {
      return t('looks.wentDrySeedWantsSoak');
    },
    get now() {
      return t('looks.keepDampCoveredWhatLate');
    },
    get next() {
      return t('looks.soakAsFiguresSay');
    }
  },
  dormant: {
    get is() {
      return t('looks.tooWarmSeedSleeps');
    },
    get now() {
      return t('looks.moveSomewhereCoolerAtOnce');
    },
    get next() {
      return t('looks.sowWhereCoolOrCooler');
    }
  },
  unlit: {
    get is() {
      return t('looks.hasNotComeLightYet');
    },
    get now() {
      return t('looks.nothingGreensWithinTwoDays');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  'meant-pale': {
    get is() {
      return t('looks.asMeantBeGrowsDark');
    },
    get now() {
      return t('looks.nothingKeepDarkLightMakes');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  'sudden-sun': {
    get is() {
      return t('looks.sunThroughGlassTooSuddenly');
    },
    get now() {
      return t('looks.drawThinCurtainOrMove');
    },
    get next() {
      return t('looks.beginLightOnDullDay');
    }
  },
  turning: {
    get is() {
      return t('looks.firstTrueLeafFromNow');
    },
    get now() {
      return t('looks.cutNowTodayOrTomorrow');
    },
    get next() {
      return t('looks.lookFromOpeningWindowOn');
    }
  },
  'leaf-belongs': {
    get is() {
      return t('looks.leavesBelong');
    },
    get now() {
      return t('looks.nothingCutByHeightOr');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  clumped: {
    get is() {
      return t('looks.seedLayClumps');
    },
    get now() {
      return t('looks.nothingGapsStayRestSound');
    },
    get next() {
      return t('looks.drainSoakedSeedLongerSow');
    }
  },
  'dry-edge': {
    get is() {
      return t('looks.dryEdgeOrCorner');
    },
    get now() {
      return t('looks.waterFromBelowUntilTop');
    },
    get next() {
      return t('looks.levelMediumDampEdgesBefore');
    }
  },
  'on-time': {
    get is() {
      return t('looks.sproutsAsShould');
    },
    get now() {
      return t('looks.nothingShutAgain');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  slow: {
    get is() {
      return t('looks.slowRoot');
    },
    get now() {
      return t('looks.leaveCoveredDampDayLonger');
    },
    get next() {
      return t('looks.warmerPlaceOrSeedFresher');
    }
  },
  ripe: {
    get is() {
      return t('looks.ready');
    },
    get now() {
      return t('looks.cutWheneverYouLike');
    },
    get next() {
      return t('looks.nothingChange');
    }
  },
  overripe: {
    get is() {
      return t('looks.pastBest');
    },
    get now() {
      return t('looks.cutTodayEatSoonOr');
    },
    get next() {
      return t('looks.startCuttingFromDayWindow');
    }
  },
  unripe: {
    get is() {
      return t('looks.youngStill');
    },
    get now() {
      return t('looks.waitWindow');
    },
    get next() {
      return t('looks.tasteFromOpeningOn');
    }
  }
};

/** What is said where nothing that is known of a tray explains what was seen. */
export const UNEXPLAINED = {
  get is() {
    return t('looks.nothingBroteKnowsAboutTray');
  },
  get now() {
    return t('looks.lookAgainAtNextRound');
  }
};

/** What each check is, as something to do. */
export const CHECK_WORDS: Record<Check, string> = {
  get lift() {
    return t('looks.liftTrayDoesFeelAs');
  },
  get roots() {
    return t('looks.liftCornerLookAtRoots');
  },
  get foot() {
    return t('looks.lookAtFootStemFirm');
  },
  get mist() {
    return t('looks.mistOneSpotLookAgain');
  },
  get thermometer() {
    return t('looks.measureHowWarmWhereStands');
  },
  get lamp() {
    return t('looks.measureFromLampLeavesRead');
  },
  get light() {
    return t('looks.holdHandOverLeavesAt');
  },
  get leaves() {
    return t('looks.lookAtNewestLeavesUnder');
  },
  get seed() {
    return t('looks.putTwentySeedsSameLot');
  },
  get taste() {
    return t('looks.tasteLeafFromMiddleOne');
  }
};

export const LOSS_OF_TRAY: Record<Loss, string> = {
  get no() {
    return t('looks.nothingLost');
  },
  get watch() {
    return t('looks.notLostLookAgainAt');
  },
  get part() {
    return t('looks.partLost');
  },
  get whole() {
    return t('looks.trayLost');
  }
};

const CUT_BY: Record<Extract<Evidence, { kind: 'cut-by' }>['cue'], string> = {
  get cotyledon() {
    return t('looks.cutSeedLeaves');
  },
  get 'true-leaf'() {
    return t('looks.cutAsLeafShows');
  },
  get 'third-leaf'() {
    return t('looks.cutAtThirdTrueLeaf');
  },
  get height() {
    return t('looks.cutByHeight');
  },
  get tips() {
    return t('looks.cutByTips');
  }
};

/** Days to the half. */
function daysWords(days: number): string {
  const halves = Math.round(days * 2) / 2;
  return t('looks.halvesDayDays', { halves: figure(halves), halves2: halves });
}

/** How many whole days lie between, at least one. */
function wholeDaysWords(days: number): string {
  const whole = Math.max(1, Math.round(Math.abs(days)));
  return t('looks.wholeDayDays', { whole });
}

/** A fact that speaks for a cause, as half a sentence. */
export function evidenceWords(evidence: Evidence, units: Units): string {
  switch (evidence.kind) {
    case 'water':
      return t('looks.aboutShareWaterLeft', { share: Math.round(evidence.share * 100) });
    case 'dark':
      return t('looks.daysDarkSinceRooted', { days: daysWords(evidence.days) });
    case 'lit':
      return evidence.days < 0.5
        ? t('looks.cameLightToday')
        : t('looks.daysLight', { days: daysWords(evidence.days) });
    case 'dli':
      return t('looks.lightDliMolMDay', { dli: figure(Math.round(evidence.dli * 10) / 10) });
    case 'warmth':
      return t('looks.temperatureWhereStands', { temperature: temperature(evidence.tempC, units) });
    case 'dry-air':
      return t('looks.airTakesUpKpaKpa', { kpa: evidence.kpa.toFixed(1) });
    case 'crowding':
      return t('looks.timesUsualDensity', { times: Math.round(evidence.times * 100) });
    case 'germination':
      return t('looks.pctSeedSprouts', { pct: Math.round(evidence.pct) });
    case 'open':
      return evidence.days >= 0
        ? t('looks.windowOpenedAboutWholedaysAgo', { wholeDays: wholeDaysWords(evidence.days) })
        : t('looks.windowOpensAboutWholedays', { wholeDays: wholeDaysWords(evidence.days) });
    case 'closes':
      return evidence.days >= 0
        ? t('looks.windowClosesAboutWholedays', { wholeDays: wholeDaysWords(evidence.days) })
        : t('looks.windowClosedAboutWholedaysAgo', { wholeDays: wholeDaysWords(evidence.days) });
    case 'stage':
      return evidence.rooted ? t('looks.hasRooted') : t('looks.rootingNow');
    case 'mould-hours':
      return evidence.level === 'high' ? t('looks.wasWarmDampVeryLong') : t('looks.wasWarmDampLong');
    case 'lamp':
      return t('looks.lampPpfdMolMS', {
        ppfd: Math.round(evidence.ppfd),
        when: evidence.distanceCm === null ? 'yes' : 'no',
        length: !(evidence.distanceCm === null) ? length(evidence.distanceCm, units) : ''
      });
    case 'medium':
      return t('looks.mediumWithFeedWithoutFeed', {
        medium: MEDIUM_WORDS[evidence.medium].toLowerCase(),
        when: evidence.fed ? 'yes' : 'no'
      });
    case 'overwatered':
      return t('looks.moreWasPouredThanHolds');
    case 'unpressed':
      return t('looks.nothingPressedOn');
    case 'unmisted':
      return t('looks.stayedShutWhileRooted');
    case 'clings':
      return t('looks.hullsLargeRough');
    case 'stays-dark':
      return t('looks.staysDarkUntilCut');
    case 'unlit':
      return t('looks.standsDarkStill');
    case 'sun':
      return t('looks.cameFromDarkOntoSunny');
    case 'unsoaked':
      return t('looks.wasSownWithoutSoak');
    case 'cut-by':
      return CUT_BY[evidence.cue];
    case 'grass':
      return t('looks.grass');
    case 'pressed':
      return t('looks.weightLayOn');
    case 'still-air':
      return t('looks.stillAirTemperatureHumiditypctHumidity', {
        temperature: temperature(evidence.tempC, units),
        humidityPct: Math.round(evidence.humidityPct)
      });
    case 'wet-seed':
      return evidence.gel ? t('looks.seedGelsWhenWet') : t('looks.soakedSeedClingsTogether');
    case 'looks-so':
      return evidence.sight === 'mould'
        ? t('looks.threadsRunAcrossSeedStems')
        : t('looks.thinBrownFootHowRot');
    case 'moving-air':
      return t('looks.fanOrDraughtMovesAir');
  }
}
