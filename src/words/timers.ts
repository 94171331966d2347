import type { Timer, TimerKind, TimerState } from '$core/steps/timer.ts';
import { DAY, HOUR } from '$core/time/zone.ts';
import { dayAndTime, spanWords, type Locale } from './time.ts';

export const TIMER_NAMES: Record<TimerKind, string> = {
  rinse: 'Rinse',
  disinfect: 'Contact time',
  soak: 'Soak',
  drain: 'Drain'
};

/** `1:05:09` or `4:59`; past its end with a leading plus. */
export function countdown(ms: number): string {
  const all = Math.floor(Math.abs(ms) / 1000);
  const [h, m, s] = [Math.floor(all / 3600), Math.floor((all % 3600) / 60), all % 60];
  const two = (value: number) => String(value).padStart(2, '0');
  return `${ms < 0 ? '+' : ''}${h > 0 ? `${h}:${two(m)}` : m}:${two(s)}`;
}

/** When something ended, and how long ago where that is an hour or more. */
function endedWords(endsAt: number, now: number, locale: Locale): string {
  const ago = now - endsAt >= HOUR ? `, ${hoursWords(now - endsAt)} ago` : '';
  return `Ended ${dayAndTime(endsAt, now, locale)}${ago}.`;
}

/** Hours up to two days: seed in water is counted in hours. */
const hoursWords = (ms: number): string => (ms < 2 * DAY ? `${Math.round(ms / HOUR)} h` : spanWords(ms));

/** What to do about seed in water: the same on the round, the bench and its timer. */
export function soakWords(
  { endsAt, latestAt }: { endsAt: number; latestAt: number },
  now: number,
  locale: Locale
): string {
  if (now < endsAt && latestAt - now > HOUR) return `Out ${dayAndTime(endsAt, now, locale)}.`;
  const ended = now < endsAt ? '' : `${endedWords(endsAt, now, locale)} `;
  if (now >= latestAt)
    return `${ended}That is longer than this seed bears. Rinse it well: where it is firm, sow it at once, a little thinner; where it is soft or slimy, throw it out and start again.`;
  if (latestAt - now <= HOUR)
    return `${ended}Drain it within ${spanWords(latestAt - now)}: past that the seed goes soft and moulds.`;
  return `${ended}Drain and rinse it now, at the latest ${dayAndTime(latestAt, now, locale)}.`;
}

/** What to do about a timer where it stands. */
export function timerWords(timer: Timer, state: TimerState, now: number, locale: Locale): string {
  const ends = dayAndTime(timer.endsAt, now, locale);
  switch (timer.kind) {
    case 'rinse':
      return state === 'running' ? 'Under running water.' : 'Rinsed: go on.';
    case 'disinfect':
      return state === 'running'
        ? 'Stir now and then; keep a window open.'
        : state === 'due'
          ? 'Pour off and rinse until no smell is left.'
          : 'Left too long: pour off now and rinse well. If the seed has softened, start with fresh seed.';
    case 'soak':
      return state === 'running' && timer.endsAsleep
        ? `Out ${ends}, while you sleep: set an alarm, or put fresh seed in at the planned hour.`
        : soakWords({ endsAt: timer.endsAt, latestAt: timer.latestAt! }, now, locale);
    case 'drain':
      return state === 'running'
        ? `Keep it damp and covered until ${ends}.`
        : state === 'due'
          ? `${endedWords(timer.endsAt, now, locale)} White tips should show: sow it.`
          : `${endedWords(timer.endsAt, now, locale)} Rinse it; where it is firm and clean, sow it at once. Throw out what is slimy or sour.`;
  }
}
