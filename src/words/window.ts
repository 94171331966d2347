import type { MarkForecast } from '$core/growth/forecastMark.ts';
import { capital } from './capital.ts';
import { daysAway, dayWords, type Locale } from './time.ts';

/**
 * A window in words, with its range and never a false date:
 * “Opens Thursday, likely Wednesday to Saturday.”
 */
export function windowWords(open: MarkForecast, close: MarkForecast, now: number, locale: Locale): string {
  const day = (at: number) => dayWords(at, now, locale);
  if (!Number.isFinite(open.p50)) return 'Too cold or too hot here to grow: move it.';
  if (open.seen) return closing(close, now, locale);
  if (open.p50 <= now) return `Likely open since ${day(open.p50)}: look for the cue.`;
  const [from, to] = [open.p10, open.p90];
  if (daysAway(to, from, locale.zone) === 0) return `Opens ${day(open.p50)}.`;
  return `Opens ${day(open.p50)}, likely ${day(Math.max(from, now))} to ${day(to)}.`;
}

function closing(close: MarkForecast, now: number, locale: Locale): string {
  if (close.p50 <= now) return `Past its best since ${dayWords(close.p50, now, locale)}: cut what is good.`;
  return `Open now. Best before ${capital(dayWords(close.p50, now, locale))}.`
    .replace('Today', 'tonight')
    .replace('Tomorrow', 'tomorrow');
}
