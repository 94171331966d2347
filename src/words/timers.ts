import type { Timer, TimerKind, TimerState } from '$core/steps/timer.ts';
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
      if (state === 'running')
        return timer.endsAsleep
          ? `Out ${ends}, while you sleep: set an alarm, or put fresh seed in at the planned hour.`
          : `Out ${ends}.`;
      if (state === 'due')
        return `Drain and rinse now; at the latest ${dayAndTime(timer.latestAt!, now, locale)}.`;
      if (state === 'last-hour')
        return `Drain within ${spanWords(timer.latestAt! - now)}: past that the seed goes soft and moulds.`;
      return `Missed by ${spanWords(now - timer.latestAt!)}. Rinse well and smell it: firm and sweet, sow at once, a little thinner; soft, slimy or sour, throw it out and start again.`;
    case 'drain':
      return state === 'running'
        ? `Keep it damp and covered until ${ends}.`
        : state === 'due'
          ? 'White tips should show: sow it.'
          : 'Left long: rinse it, smell it, and sow at once if it is sweet.';
  }
}
