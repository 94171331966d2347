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

const STAGE_WORDS: Record<Stage, string> = {
  prepare: 'to be prepared',
  soak: 'soaking',
  drain: 'draining',
  press: 'rooting, covered',
  blackout: 'stretching in the dark',
  light: 'in light',
  ended: 'ended'
};

/** The stage of a tray for what it is: nothing lies over what sprouts in the open. */
export function stageWords(
  stage: Stage,
  { cover, domeDays, domeCm }: Pick<Path, 'cover' | 'domeDays' | 'domeCm'>
): string {
  if (stage !== 'press') return STAGE_WORDS[stage];
  if (cover === 'none') return 'sprouting in the open';
  if (cover !== 'clear') return STAGE_WORDS.press;
  return domeDays === null && domeCm === null ? 'sprouting under a clear lid' : 'growing under a clear dome';
}

export const LOSS_WORDS: Record<LossReason, string> = {
  mould: 'Mould',
  'damped-off': 'Damped off: stems fell at the foot',
  'dried-out': 'Dried out',
  'poor-germination': 'Too little sprouted',
  'too-late': 'Left too long',
  'not-begun': 'Never begun',
  other: 'Something else'
};

/** A cue as a chip: what to look for, on this crop. */
export function cueWords(cue: Cue, crop: Crop, path: Path, units: Units): string {
  if (cue === 'rooted')
    return path.cover === 'none' || path.cover === 'clear'
      ? 'Rooted'
      : path.cover === 'stacked'
        ? 'Trays parting'
        : 'Lid lifting';
  if (cue === 'lightReady') return 'Stems even';
  if (readyCue(crop) === 'dome-lifting') return 'Dome lifting';
  const tall = `${length(crop.heightMinCm, units).replace(/ .*/, '')} to ${length(crop.heightMaxCm, units)}`;
  return {
    cotyledon: 'Seed leaves open',
    'true-leaf': 'First true leaf',
    'third-leaf': 'Third true leaf',
    height: `${tall} tall`,
    tips: `Tips ${tall}`
  }[crop.harvestCue];
}

/** What a method takes the last cover off by, where that is not the look of the crop; null where it is. */
function countedWords({ domeCm, domeDays, darkDays, cover }: Path): string | null {
  const dome = cover === 'clear' ? 'clear dome' : 'dome';
  if (domeCm !== null) return `The ${dome} stays on until the stems stand as high as your method says.`;
  if (domeDays !== null) return `The ${dome} stays on for the days that your method counts.`;
  return darkDays === null ? null : 'It stays in the dark for the days that your method counts.';
}

/** What follows from a cue once it is seen: a chip says what it does. */
export function cueThen(cue: Cue, { path }: Pick<Projected, 'path'>): string {
  if (cue === 'windowOpen') return 'Then it can be cut.';
  const counted = countedWords(path);
  if (cue === 'lightReady') return counted ?? 'Then its dome comes off.';
  if (counted !== null && !path.blackout) return counted;
  if (path.pressesLate) return 'Then the lid comes off and the weight goes on.';
  if (path.cover === 'none') return 'Then it counts as standing in light.';
  const off = { clear: 'its clear lid', lid: 'the lid', stacked: 'the tray on it', weight: 'the weight' }[
    path.cover
  ];
  const then = path.blackout || path.lightFrom === null ? ' and a dark dome goes on' : '';
  return path.pressedD > 0
    ? `Then it stays as it is for ${path.pressedD === 1 ? 'a day' : `${path.pressedD} days`} more, and ${off} comes off${then}.`
    : `Then ${off} comes off${then}.`;
}

const peroxide = ({ peroxideMl }: { peroxideMl?: number }, units: Units): string =>
  peroxideMl ? `, ${measured(peroxideMl, units)} of peroxide in it` : '';

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
      return `${STEP_NAMES[body.step]}: done`;
    case 'soaked':
      return 'Put to soak';
    case 'drained':
      return 'Drained and rinsed';
    case 'sown':
      return `Sown, on ${volume(body.waterG, units)} of water`;
    case 'pressed':
      return 'Weight laid on';
    case 'sprayed':
      return `Sprayed with ${body.name}, ${volume(body.waterG, units)}`;
    case 'uncovered':
      return 'Uncovered, dome on';
    case 'lit':
      return path.cover === 'clear' ? 'Clear lid taken off' : 'Brought to light';
    case 'unshaded':
      return 'Shade taken off';
    case 'misted':
      return `Misted, ${volume(body.waterG, units)}${peroxide(body, units)}`;
    case 'watered':
      if (body.waterG === 0) return 'Poured off what stood, and gave none';
      if (body.through)
        return `Poured through and drained; kept ${volume(body.waterG, units)}${peroxide(body, units)}`;
      return `Watered, ${volume(body.waterG, units)}${peroxide(body, units)}`;
    case 'fed':
      return `Fed, ${volume(body.waterG, units)}${body.feedMl > 0 ? ` with ${measured(body.feedMl, units)} of feed` : ' with feed'}${peroxide(body, units)}`;
    case 'put-off':
      return `Put off to ${shortDate(body.until, locale)}`;
    case 'stays-covered':
      return `Left covered until ${shortDate(body.until, locale)}`;
    case 'looked':
      return `Looked: ${cueWords(body.cue, crop, path, units).toLowerCase()}${body.reached ? '' : ', not yet'}`;
    case 'felt':
      return `Felt: ${MOISTURE_WORDS[body.moisture].told}`;
    case 'lifted':
      return `Lifted: ${body.heft === 'right' ? 'just right' : body.heft}`;
    case 'weighed':
      return `Weighed ${mass(body.grossG, units)}${body.full ? ', well watered' : ''}`;
    case 'saw':
      return `Saw: ${symptomWords(body.sight, crop).toLowerCase()}`;
    case 'turned':
      return 'Turned';
    case 'aired':
      return 'Aired';
    case 'moved':
      return `Moved to ${placeName(body.placeId)}`;
    case 'cut':
      return `Cut ${mass(body.grossG - body.tareG, units)}${body.again ? ', to grow again' : body.last ? ', the last' : ''}${body.handling ? `; ${packedWords(body.handling.packing, body.handling.washing)}` : ''}`;
    case 'packed':
      return `Packed anew: ${packedWords(body.packing, body.washing)}, ${amountWords(body.made, { unit: unitOfPacking(body.packing) }, units)}`;
    case 'taken':
      return `${body.to === 'eaten' ? 'Taken out to eat' : 'Given away'}, ${amountWords(body.amount, { unit: unitTaken(state, body.from) }, units)}`;
    case 'thrown':
      return `Thrown out, ${amountWords(body.amount, { unit: unitTaken(state, body.from) }, units)}: ${SPOIL_WORDS[body.reason].toLowerCase()}`;
    case 'cleaned':
      return body.to ? `${CLEANING_DONE[body.step]}, ${SPENT_DONE[body.to]}` : CLEANING_DONE[body.step];
    case 'noted':
      return body.text;
    case 'ended':
      return `Given up: ${LOSS_WORDS[body.reason].toLowerCase()}`;
    case 'undone':
      return 'Taken back';
  }
}
