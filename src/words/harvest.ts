import type { Crop } from '$core/crops/crop.ts';
import type { LateCost } from '$core/crops/late.ts';
import { readyCue, type Finding, type ReadyCue, type ReadyOutlook } from '$core/harvest/ready.ts';
import { aboutGreens, length, type Units } from '$core/units/format.ts';
import { dayWords, daysAway, type Locale } from './time.ts';

/** What each finding looks like, cue by cue. */
const SIGHTS: Record<ReadyCue, Record<Finding, string>> = {
  'seed-leaves': {
    'not-yet': 'Seed leaves folded or yellow',
    ready: 'Seed leaves flat open and green',
    past: 'The next leaves are coming'
  },
  'true-leaf': {
    'not-yet': 'Seed leaves alone',
    ready: 'The first true leaf shows',
    past: 'Several true leaves, stems long'
  },
  'third-leaf': {
    'not-yet': 'One or two true leaves',
    ready: 'The third true leaf shows',
    past: 'A flower stalk, or leaves gone coarse'
  },
  height: { 'not-yet': 'Still short', ready: 'Tall enough', past: 'Taller than that, and leaning' },
  'second-leaf': {
    'not-yet': 'One blade, still short',
    ready: 'One blade, tall, the second just splitting',
    past: 'The second blade is out'
  },
  tips: {
    'not-yet': 'Tips closed and short',
    ready: 'Tips open, tender to the nail',
    past: 'Stems snap no more, they bend'
  },
  'dome-lifting': {
    'not-yet': 'They do not reach the dome',
    ready: 'They lift the dome',
    past: 'Leaves unroll'
  }
};

export const FINDING_NAMES: Record<Finding, string> = {
  'not-yet': 'Not yet',
  ready: 'Ready',
  past: 'Past its best'
};

const LATE: Record<LateCost, string> = {
  bitter: 'bitter',
  tough: 'tough and stringy',
  sharp: 'sharper, and coarser'
};

/** What a finding looks like on a crop. */
export function findingWords(crop: Crop, finding: Finding, units: Units): string {
  const words = SIGHTS[readyCue(crop)][finding];
  return finding === 'ready' && crop.harvestCue === 'height'
    ? `${words}: ${length(crop.heightMinCm, units).replace(/ .*/, '')} to ${length(crop.heightMaxCm, units)}`
    : words;
}

/** What cutting today comes to against its best day, in grams. */
export function outlookWords(
  { nowG, best, opensAt, past, turned, closesAt }: ReadyOutlook,
  now: number,
  locale: Locale
): string {
  const { units } = locale;
  const lessG = best.g - nowG;
  const today = `Cut today: ${aboutGreens(nowG, units)}`;
  const hasSome = aboutGreens(nowG, units) !== '';
  if (past)
    return `Its window closed about ${dayWords(closesAt, now, locale)}: nothing can be promised. Taste it first.`;
  if (turned) return `${hasSome ? `${today}. ` : ''}It was found past its best: cut what is good now.`;
  if (!hasSome) return nothingYet(opensAt, best, now, locale);
  if (lessG < Math.max(1, best.g * 0.02) || daysAway(best.at, now, locale.zone) === 0)
    return `${today}, as much as it will give.`;
  return `${today}, ${aboutGreens(lessG, units)} less than ${dayWords(best.at, now, locale)}.`;
}

function nothingYet(opensAt: number, best: ReadyOutlook['best'], now: number, locale: Locale): string {
  if (!Number.isFinite(opensAt)) return 'Nothing to cut yet.';
  const then = aboutGreens(best.g, locale.units);
  return `Nothing to cut yet: it opens ${dayWords(opensAt, now, locale)}${then ? `, with ${then} ${dayWords(best.at, now, locale)}` : ''}.`;
}

/** What cutting earlier and later does to its taste. */
export const costWords = ({ late }: Pick<ReadyOutlook, 'late'>): string =>
  `Earlier it is thin and mild, and less of it. Past its window it turns ${LATE[late]}.`;

/** What a cut piece is called. */
export const pieceWords = (kind: 'cells' | 'strips', index: number): string =>
  `${kind === 'cells' ? 'Cell' : 'Strip'} ${index + 1}`;
