import type { Heft } from '$core/water/bucket.ts';
import { t, table } from '$messages/t.ts';
import type { Cue, EventBody, LossReason } from '$core/sowing/event.ts';
import { readyCue } from '$core/harvest/ready.ts';
import { unitOfPacking, unitTaken } from '$core/pantry/item.ts';
import { amountWords, CLEANING_DONE, packedWords, SPENT_DONE, SPOIL_WORDS } from './pantry.ts';
import type { Crop } from '$core/crops/crop.ts';
import type { Path } from '$core/supplies/methods/path.ts';
import type { Projected } from '$core/sowing/project.ts';
import type { Stage } from '$core/sowing/reduce.ts';
import { length, mass, volume, type Units } from '$core/units/format.ts';
import { symptomWords } from './looks.ts';
import { MOISTURE_WORDS } from './moisture.ts';
import { measured } from './steps/amounts.ts';
import { STEP_NAMES } from './steps/names.ts';
import { shortDate, type Locale } from './time.ts';

const STAGE_WORDS: Record<Stage, string> = table('events.stage');

/** The stage of a tray for what it is: nothing lies over what sprouts in the open. */
export function stageWords(
  stage: Stage,
  { cover, domeDays, domeCm }: Pick<Path, 'cover' | 'domeDays' | 'domeCm'>
): string {
  if (stage !== 'press') return STAGE_WORDS[stage];
  if (cover === 'none') return t('events.sproutingOpen');
  if (cover !== 'clear') return STAGE_WORDS.press;
  return domeDays === null && domeCm === null
    ? t('events.sproutingUnderClearLid')
    : t('events.growingUnderClearDome');
}

const HEFT: Record<Heft, string> = table('events.heft');

export const LOSS_WORDS: Record<LossReason, string> = table('events.loss');

/** A cue as a chip: what to look for, on this crop. */
export function cueWords(cue: Cue, crop: Crop, path: Path, units: Units): string {
  if (cue === 'rooted')
    return path.cover === 'none' || path.cover === 'clear'
      ? t('events.rooted')
      : path.cover === 'stacked'
        ? t('events.traysParting')
        : t('events.lidLifting');
  if (cue === 'lightReady') return t('events.stemsEven');
  if (readyCue(crop) === 'dome-lifting') return t('events.domeLifting');
  const tall = t('events.replaceLength', {
    replace: length(crop.heightMinCm, units).replace(/ .*/, ''),
    length: length(crop.heightMaxCm, units)
  });
  return {
    cotyledon: t('events.seedLeavesOpen'),
    'true-leaf': t('events.firstTrueLeaf'),
    'third-leaf': t('events.thirdTrueLeaf'),
    height: t('events.tallTall', { tall }),
    tips: t('events.tipsTall', { tall })
  }[crop.harvestCue];
}

/** What a method takes the last cover off by, where that is not the look of the crop; null where it is. */
function countedWords({ domeCm, domeDays, darkDays, cover }: Path): string | null {
  const dome = cover === 'clear' ? t('events.clearDome') : t('events.dome');
  if (domeCm !== null) return t('events.domeStaysOnUntilStems', { dome });
  if (domeDays !== null) return t('events.domeStaysOnDaysYour', { dome });
  return darkDays === null ? null : t('events.staysDarkDaysYourMethod');
}

/** What follows from a cue once it is seen: a chip says what it does. */
export function cueThen(cue: Cue, { path }: Pick<Projected, 'path'>): string {
  if (cue === 'windowOpen') return t('events.thenCanBeCut');
  const counted = countedWords(path);
  if (cue === 'lightReady') return counted ?? t('events.thenDomeComesOff');
  if (counted !== null && !path.blackout) return counted;
  if (path.pressesLate) return t('events.thenLidComesOffWeight');
  if (path.cover === 'none') return t('events.thenCountsAsStandingLight');
  const off = {
    clear: t('events.clearLid'),
    lid: t('events.lid'),
    stacked: t('events.trayOn'),
    weight: t('events.weight')
  }[path.cover];
  const then = path.blackout || path.lightFrom === null ? ` ${t('events.darkDomeGoesOn')}` : '';
  return path.pressedD > 0
    ? t('events.thenStaysAsDayDays', { pressedD: path.pressedD, off, then })
    : t('events.thenOffComesOffThen', { off, then });
}

const peroxide = ({ peroxideMl }: { peroxideMl?: number }, units: Units): string =>
  peroxideMl ? t('events.measuredPeroxide', { measured: measured(peroxideMl, units) }) : '';

/** What happened, as a line of the log. */
export function eventWords(
  body: EventBody,
  { crop, path, state }: Pick<Projected, 'crop' | 'path' | 'state'>,
  locale: Locale,
  placeName: (id: string) => string
): string {
  const { units } = locale;
  switch (body.type) {
    case 'prepared':
      return t('events.stepDone', { step: STEP_NAMES[body.step] });
    case 'soaked':
      return t('events.putSoak');
    case 'drained':
      return t('events.drainedRinsed');
    case 'sown':
      return t('events.sownOnVolumeWater', { volume: volume(body.waterG, units) });
    case 'pressed':
      return t('events.weightLaidOn');
    case 'sprayed':
      return t('events.sprayedWithNameVolume', { name: body.name, volume: volume(body.waterG, units) });
    case 'uncovered':
      return t('events.uncoveredDomeOn');
    case 'lit':
      return path.cover === 'clear' ? t('events.clearLidTakenOff') : t('events.broughtLight');
    case 'unshaded':
      return t('events.shadeTakenOff');
    case 'misted':
      return t('events.mistedVolumePeroxide', {
        volume: volume(body.waterG, units),
        peroxide: peroxide(body, units)
      });
    case 'watered':
      if (body.waterG === 0) return t('events.pouredOffWhatStoodGave');
      if (body.through)
        return t('events.pouredThroughDrainedKeptVolume', {
          volume: volume(body.waterG, units),
          peroxide: peroxide(body, units)
        });
      return t('events.wateredVolumePeroxide', {
        volume: volume(body.waterG, units),
        peroxide: peroxide(body, units)
      });
    case 'fed':
      return t('events.fedVolumeWithMeasuredFeed', {
        volume: volume(body.waterG, units),
        when: body.feedMl > 0 ? 'yes' : 'no',
        measured: body.feedMl > 0 ? measured(body.feedMl, units) : '',
        peroxide: peroxide(body, units)
      });
    case 'put-off':
      return t('events.putOffShortdate', { shortDate: shortDate(body.until, locale) });
    case 'stays-covered':
      return t('events.leftCoveredUntilShortdate', { shortDate: shortDate(body.until, locale) });
    case 'looked':
      return t('events.lookedCueNotYet', {
        cue: cueWords(body.cue, crop, path, units),
        reached: body.reached ? 'yes' : 'no'
      });
    case 'felt':
      return t('events.feltTold', { told: MOISTURE_WORDS[body.moisture].told });
    case 'lifted':
      return t('events.liftedValue', { value: HEFT[body.heft] });
    case 'weighed':
      return t('events.weighedMassWellWatered', {
        mass: mass(body.grossG, units),
        when: body.full ? 'yes' : 'no'
      });
    case 'saw':
      return t('events.sawSymptom', { symptom: symptomWords(body.sight, crop) });
    case 'turned':
      return t('events.turned');
    case 'aired':
      return t('events.aired');
    case 'moved':
      return t('events.movedPlacename', { placeName: placeName(body.placeId) });
    case 'cut':
      return t('events.cutMassGrowAgainLast', {
        mass: mass(body.grossG - body.tareG, units),
        when: body.again ? 'yes' : 'no',
        when2: !body.again && body.last ? 'yes' : 'no',
        when3: body.handling ? 'yes' : 'no',
        packed: body.handling ? packedWords(body.handling.packing, body.handling.washing) : ''
      });
    case 'packed':
      return t('events.packedAnewPackedAmount', {
        packed: packedWords(body.packing, body.washing),
        amount: amountWords(body.made, { unit: unitOfPacking(body.packing) }, units)
      });
    case 'taken':
      return t('events.takenOutEatGivenAway', {
        when: body.to === 'eaten' ? 'yes' : 'no',
        amount: amountWords(body.amount, { unit: unitTaken(state, body.from) }, units)
      });
    case 'thrown':
      return t('events.thrownOutAmountReason', {
        amount: amountWords(body.amount, { unit: unitTaken(state, body.from) }, units),
        reason: SPOIL_WORDS[body.reason]
      });
    case 'cleaned':
      return body.to ? `${CLEANING_DONE[body.step]}, ${SPENT_DONE[body.to]}` : CLEANING_DONE[body.step];
    case 'noted':
      return body.text;
    case 'ended':
      return t('events.givenUpReason', { reason: LOSS_WORDS[body.reason] });
    case 'undone':
      return t('events.takenBack');
  }
}
