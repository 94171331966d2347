import { t, table } from '$messages/t.ts';
import type { Crop } from '$core/crops/crop.ts';
import type { LateCost } from '$core/crops/late.ts';
import { readyCue, type Finding, type ReadyCue, type ReadyOutlook } from '$core/harvest/ready.ts';
import { length, type Units } from '$core/units/format.ts';
import { aboutGreens } from './greens.ts';
import { dayWords, daysAway, type Locale } from './time.ts';

/** What each finding looks like, cue by cue. */
const SIGHTS: Record<ReadyCue, Record<Finding, string>> = table('harvest.sights');

export const FINDING_NAMES: Record<Finding, string> = table('harvest.finding');

const LATE: Record<LateCost, string> = table('harvest.late');

/** What a finding looks like on a crop. */
export function findingWords(crop: Crop, finding: Finding, units: Units): string {
  const words = SIGHTS[readyCue(crop)][finding];
  return finding === 'ready' && crop.harvestCue === 'height'
    ? t('harvest.wordsReplaceLength', {
        words,
        replace: length(crop.heightMinCm, units).replace(/ .*/, ''),
        length: length(crop.heightMaxCm, units)
      })
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
  const today = t('harvest.cutTodayAboutgreens', { aboutGreens: aboutGreens(nowG, units) });
  const hasSome = aboutGreens(nowG, units) !== '';
  if (past) return t('harvest.windowClosedAboutDayNothing', { day: dayWords(closesAt, now, locale) });
  if (turned) return t('harvest.todayWasFoundPastBest', { when: hasSome ? 'yes' : 'no', today });
  if (!hasSome) return nothingYet(opensAt, best, now, locale);
  if (lessG < Math.max(1, best.g * 0.02) || daysAway(best.at, now, locale.zone) === 0)
    return t('harvest.todayAsMuchAsWill', { today });
  return t('harvest.todayAboutgreensLessThanDay', {
    today,
    aboutGreens: aboutGreens(lessG, units),
    day: dayWords(best.at, now, locale)
  });
}

function nothingYet(opensAt: number, best: ReadyOutlook['best'], now: number, locale: Locale): string {
  if (!Number.isFinite(opensAt)) return t('harvest.nothingCutYet');
  const then = aboutGreens(best.g, locale.units);
  return t('harvest.nothingCutYetOpensDay', {
    day: dayWords(opensAt, now, locale),
    when: then ? 'yes' : 'no',
    then,
    day2: then ? dayWords(best.at, now, locale) : ''
  });
}

/** What cutting earlier and later does to its taste. */
export const costWords = ({ late }: Pick<ReadyOutlook, 'late'>): string =>
  t('harvest.earlierThinMildLessPast', { late: LATE[late] });

/** What a cut piece is called. */
export const pieceWords = (kind: 'cells' | 'strips', index: number): string =>
  t('harvest.cellStripIndex', { when: kind === 'cells' ? 'yes' : 'no', index: index + 1 });
