import { t, table } from '$messages/t.ts';
import type { Timer, TimerKind, TimerState } from '$core/steps/timer.ts';
import { DAY, HOUR } from '$core/time/zone.ts';
import { dayAndTime, spanWords, type Locale } from './time.ts';

export const TIMER_NAMES: Record<TimerKind, string> = table('timers.timer');

/** `1:05:09` or `4:59`; past its end with a leading plus. */
export function countdown(ms: number): string {
  const all = Math.floor(Math.abs(ms) / 1000);
  const [h, m, s] = [Math.floor(all / 3600), Math.floor((all % 3600) / 60), all % 60];
  const two = (value: number) => String(value).padStart(2, '0');
  return `${ms < 0 ? '+' : ''}${h > 0 ? `${h}:${two(m)}` : m}:${two(s)}`;
}

/** When something ended, and how long ago where that is an hour or more. */
function endedWords(endsAt: number, now: number, locale: Locale): string {
  const at = dayAndTime(endsAt, now, locale);
  return now - endsAt < HOUR
    ? t('timers.ended', { dayAndTime: at })
    : t('timers.endedLongAgo', { dayAndTime: at, hours: hoursWords(now - endsAt) });
}

/** Hours up to two days: seed in water is counted in hours. */
const hoursWords = (ms: number): string => (ms < 2 * DAY ? `${Math.round(ms / HOUR)} h` : spanWords(ms));

/** What to do about seed in water: the same on the round, the bench and its timer. */
export function soakWords(
  { endsAt, latestAt }: { endsAt: number; latestAt: number },
  now: number,
  locale: Locale
): string {
  if (now < endsAt && latestAt - now > HOUR)
    return t('timers.outDayandtime', { dayAndTime: dayAndTime(endsAt, now, locale) });
  const ended = now < endsAt ? '' : `${endedWords(endsAt, now, locale)} `;
  if (now >= latestAt) return t('timers.endedLongerThanSeedBears', { ended });
  if (latestAt - now <= HOUR)
    return t('timers.endedDrainWithinSpanPast', { ended, span: spanWords(latestAt - now) });
  return t('timers.endedDrainRinseNowAt', { ended, dayAndTime: dayAndTime(latestAt, now, locale) });
}

/** What to do about a timer where it stands. */
export function timerWords(timer: Timer, state: TimerState, now: number, locale: Locale): string {
  const ends = dayAndTime(timer.endsAt, now, locale);
  switch (timer.kind) {
    case 'rinse':
      return state === 'running' ? t('timers.underRunningWater') : t('timers.rinsedGoOn');
    case 'disinfect':
      return state === 'running'
        ? t('timers.stirNowThenKeepWindow')
        : state === 'due'
          ? t('timers.pourOffRinseUntilNo')
          : t('timers.leftTooLongPourOff');
    case 'soak':
      return state === 'running' && timer.endsAsleep
        ? t('timers.outEndsWhileYouSleep', { ends })
        : soakWords({ endsAt: timer.endsAt, latestAt: timer.latestAt! }, now, locale);
    case 'drain':
      return state === 'running'
        ? t('timers.keepDampCoveredUntilEnds', { ends })
        : state === 'due'
          ? t('timers.endedWhiteTipsShouldShow', { ended: endedWords(timer.endsAt, now, locale) })
          : t('timers.endedRinseWhereFirmClean', { ended: endedWords(timer.endsAt, now, locale) });
  }
}
