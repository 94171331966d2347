import type { TaskBody } from '$core/round/task.ts';
import type { Cue, EventBody, LossReason } from '$core/events/event.ts';
import type { Crop } from '$core/crops/crop.ts';
import type { Path } from '$core/methods/path.ts';
import type { Stage } from '$core/sowing/fold.ts';
import type { Pressing } from '$core/methods/pressing.ts';
import { pressingWords } from './pressing.ts';
import { length, mass, seedMass, volume, type Units } from '$core/units/format.ts';
import { MOULD_WORDS, SIGHT_WORDS } from './looks.ts';
import { STEP_NAMES } from './stepNames.ts';
import { dayAndTime, dayWords, spanWords, type Reading } from './time.ts';

export interface TaskWords {
  /** What to do, with how much. */
  title: string;
  /** Why, in one line. */
  why: string;
  /** What the undo line says once it is done. */
  done: string;
}

export const STAGE_WORDS: Record<Stage, string> = {
  prepare: 'to be prepared',
  soak: 'soaking',
  drain: 'draining',
  press: 'rooting, covered',
  blackout: 'stretching in the dark',
  light: 'in light',
  ended: 'ended'
};

export const LOSS_WORDS: Record<LossReason, string> = {
  mould: 'Mould',
  'damped-off': 'Damped off: stems fell at the foot',
  'dried-out': 'Dried out',
  'poor-germination': 'Too little sprouted',
  'too-late': 'Left too long',
  other: 'Something else'
};

const pressed = (pressing: Pressing, units: Units): string => {
  const { amount, more } = pressingWords(pressing, units);
  return `${amount}: ${more}`;
};

const HOW_WATERED = { below: 'from below', above: 'from above', mist: 'as a fine mist' } as const;

/** A task in words. @param path what lies on it, for taking that off */
export function taskWords(body: TaskBody, path: Path, now: number, reading: Reading): TaskWords {
  const { units } = reading;
  switch (body.kind) {
    case 'soak':
      return {
        title: `Soak ${seedMass(body.seedG, units)} of seed in ${volume(body.waterMl, units)} of water`,
        why: `Out again ${dayAndTime(body.until, now, reading)}. A jar of ${volume(body.jarMl, units)} or more leaves room to swell.`,
        done: 'Put to soak'
      };
    case 'drain': {
      const left = body.maxAt - now;
      return {
        title:
          body.drainH > 0
            ? `Drain and rinse, then keep damp and covered for ${body.drainH} h`
            : 'Drain and rinse until the water is clear',
        why:
          left > 0
            ? `At the latest in ${spanWords(left)}: past that the seed goes soft.`
            : 'Soaked too long: rinse well, smell it, and sow at once if it is firm and sweet.',
        done: 'Drained'
      };
    }
    case 'sow':
      return {
        title: `Sow ${seedMass(body.seedG, units)} on ${volume(body.mediumMl, units)} of medium`,
        why: `${body.reservoir ? `Fill the reservoir with ${volume(body.waterMl, units)} of water first, so that the mesh is just wet.` : `Damp it with ${volume(body.waterMl, units)} of water first, like a wrung sponge.`}${body.pressing ? ` Then press with ${pressed(body.pressing, units)}.` : ''}`,
        done: 'Sown'
      };
    case 'uncover': {
      const what = path.cover === 'weight' ? 'weight' : path.cover === 'stacked' ? 'upper tray' : 'lid';
      const title =
        body.to === 'blackout'
          ? `Take the ${what} off and put a dark dome on`
          : `Take the ${what} off and bring it to light`;
      return {
        title,
        why: 'It has rooted: roots hold it now, and stems need room.',
        done: body.to === 'blackout' ? 'Uncovered' : 'Brought to light'
      };
    }
    case 'light':
      return {
        title: body.lamp ? 'Dome off, under the lamp' : 'Dome off, into daylight',
        why: 'The stems are even: light makes them green and stops them stretching.',
        done: 'Brought to light'
      };
    case 'mist':
      return {
        title: `Mist finely, about ${volume(body.waterMl, units)}`,
        why: 'The seed is to stay damp, not wet. Shut it again.',
        done: 'Misted'
      };
    case 'water':
      return {
        title: `Water ${volume(body.waterMl, units)} ${HOW_WATERED[body.how]}${body.feed > 0 ? `, with feed at ${body.feed < 1 ? 'half' : 'full'} strength` : ''}`,
        why: `${Math.round(body.share * 100)} % of its water is left, too little until the next round. ${body.how === 'mist' ? 'Stop when drops hang together.' : 'Pour off what stands after ten minutes.'}${body.peroxideMl > 0 ? ` With ${body.peroxideMl.toFixed(1)} mL of 3 % peroxide in it.` : ''}`,
        done: `Watered ${volume(body.waterMl, units)}`
      };
    case 'top':
      return {
        title: `Fill the reservoir up: ${volume(body.waterMl, units)}${body.feed > 0 ? `, with feed at ${body.feed < 1 ? 'half' : 'full'} strength` : ''}`,
        why: `${Math.round(body.share * 100)} % is left in it, and what stands over it lives from it alone.`,
        done: `Reservoir filled, ${volume(body.waterMl, units)}`
      };
    case 'turn':
      return {
        title: 'Turn it half round',
        why: 'A window lights it from one side: turned daily, it stands straight.',
        done: 'Turned'
      };
    case 'air':
      return {
        title: 'Let air at it for an hour',
        why: `${MOULD_WORDS[body.drivers[0] ?? 'covered']}: an open window nearby or a small fan dries the stems before the cut.`,
        done: 'Aired'
      };
    case 'cut':
      return {
        title: `Ready to cut: about ${mass(body.expectedG, units)}`,
        why: `Good until about ${dayWords(body.closesAt, now, reading)}. ${body.taking === 'strip' ? 'Cut a strip' : 'Cut it'} with ${body.tool === 'knife' ? 'a sharp knife' : 'scissors'} and weigh it.`,
        done: 'Cut'
      };
  }
}

/** A cue as a chip: what to look for, on this crop. */
export function cueWords(cue: Cue, crop: Crop, path: Path, units: Units): string {
  if (cue === 'rooted')
    return path.cover === 'none' ? 'Rooted' : path.cover === 'stacked' ? 'Trays parting' : 'Lid lifting';
  if (cue === 'lightReady') return 'Stems even';
  const tall = `${length(crop.heightMinCm, units).replace(/ .*/, '')} to ${length(crop.heightMaxCm, units)}`;
  return {
    cotyledon: 'Seed leaves open',
    'true-leaf': 'First true leaf',
    height: `${tall} tall`,
    tips: `Tips ${tall}`
  }[crop.harvestCue];
}

/** What happened, as a line of the log. */
export function eventWords(
  body: EventBody,
  crop: Crop,
  path: Path,
  units: Units,
  placeName: (id: string) => string
): string {
  switch (body.type) {
    case 'prepared':
      return `${STEP_NAMES[body.step]}: done`;
    case 'soaked':
      return 'Put to soak';
    case 'drained':
      return 'Drained and rinsed';
    case 'sown':
      return `Sown, on ${volume(body.waterG, units)} of water`;
    case 'uncovered':
      return 'Uncovered, dome on';
    case 'lit':
      return 'Brought to light';
    case 'misted':
      return `Misted, ${volume(body.waterG, units)}`;
    case 'watered':
      return `Watered, ${volume(body.waterG, units)}`;
    case 'looked':
      return `Looked: ${cueWords(body.cue, crop, path, units).toLowerCase()}${body.reached ? '' : ', not yet'}`;
    case 'felt':
      return `Felt: ${body.moisture === 'right' ? 'damp, just right' : body.moisture}`;
    case 'lifted':
      return `Lifted: ${body.heft === 'right' ? 'just right' : body.heft}`;
    case 'weighed':
      return `Weighed ${mass(body.grossG, units)}${body.full ? ', well watered' : ''}`;
    case 'saw':
      return `Saw: ${SIGHT_WORDS[body.sight].toLowerCase()}`;
    case 'turned':
      return 'Turned';
    case 'aired':
      return 'Aired';
    case 'moved':
      return `Moved to ${placeName(body.placeId)}`;
    case 'cut':
      return `Cut ${mass(body.grossG - body.tareG, units)}${body.last ? ', the last' : ''}`;
    case 'noted':
      return body.text;
    case 'ended':
      return `Given up: ${LOSS_WORDS[body.reason].toLowerCase()}`;
    case 'undone':
      return 'Taken back';
  }
}
