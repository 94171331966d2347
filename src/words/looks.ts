import { t, table } from '$messages/t.ts';
import type { Crop } from '$core/crops/crop.ts';
import { isGrass } from '$core/crops/traits.ts';
import type { Loss } from '$core/diagnosis/answer.ts';
import type { Cause, Evidence } from '$core/diagnosis/causes.ts';
import type { Check } from '$core/diagnosis/checks.ts';
import type { MouldDriver } from '$core/diagnosis/mould.ts';
import type { Symptom } from '$core/symptoms/symptom.ts';
import { figure, length, temperature, type Units } from '$core/units/format.ts';
import { MEDIUM_IN_TEXT } from './media.ts';

/** A sight as a chip says it. */
export const SYMPTOM_WORDS: Record<Symptom, string> = table('looks.symptom');

/** A sight as it is called on a crop: the second leaf of a grass is a blade. */
export const symptomWords = (sight: Symptom, crop: Crop): string =>
  sight === 'true-leaf' && isGrass(crop) ? t('looks.secondBlade') : SYMPTOM_WORDS[sight];

/** What drives the mould risk, as it begins a sentence. */
export const MOULD_WORDS: Record<MouldDriver, string> = table('looks.mouldDriver');

/** The same inside a sentence. */
export const MOULD_IN_TEXT: Record<MouldDriver, string> = table('looks.mouldDriverInText');

interface CauseWords {
  /** What it most likely is. */
  is: string;
  now: string;
  next: string;
}

/** What each cause means, in the order: what it is, what to do now, what to change next time. */
export const CAUSE_WORDS: Record<Cause, CauseWords> = table('looks.cause');

/** What is said where nothing that is known of a tray explains what was seen. */
export const UNEXPLAINED = table('looks.unexplained');

/** What each check is, as something to do. */
export const CHECK_WORDS: Record<Check, string> = table('looks.check');

export const LOSS_OF_TRAY: Record<Loss, string> = table('looks.lossOfTray');

const CUT_BY: Record<Extract<Evidence, { kind: 'cut-by' }>['cue'], string> = table('looks.cutBy');

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
        medium: MEDIUM_IN_TEXT[evidence.medium],
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
