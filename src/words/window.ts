import type { MarkForecast } from '$core/growth/forecastMark.ts';
import type { Hindrance } from '$core/growth/suit.ts';
import type { Projected } from '$core/sowing/project.ts';
import { capital } from './capital.ts';
import { daysAway, dayWords, type Locale } from './time.ts';

/** A window, and why none is promised where the place keeps it from growing. */
export interface WindowFacts {
  open: MarkForecast;
  close: MarkForecast;
  hindered: Hindrance | null;
  /** The stage that it is in by its log, where that comes before any opening. */
  still: 'covered' | 'dark' | null;
}

/** The window of a sowing as it stands. */
export const windowOf = ({
  suit,
  path,
  state,
  forecast: { marks }
}: Pick<Projected, 'suit' | 'forecast' | 'path' | 'state'>): WindowFacts => ({
  open: marks.windowOpen,
  close: marks.windowClose,
  hindered: suit.hindered,
  still:
    state.stage === 'press' && path.cover !== 'none'
      ? 'covered'
      : state.stage === 'blackout' && path.lightFrom !== null
        ? 'dark'
        : null
});

/** A window that should have opened, of a tray that by its log is not nearly there: never both in one breath. */
const STILL: Record<NonNullable<WindowFacts['still']>, string> = {
  covered:
    'It should be open by now, but as far as Brote knows it is still covered. Uncover it and check how far it is.',
  dark: 'It should be open by now, but as far as Brote knows it still stands in the dark. Bring it to light and check how far it is.'
};

const HINDERED: Record<Hindrance, string> = {
  cold: 'Too cold here: it hardly grows, so there is no harvest date. Move it somewhere warmer.',
  hot: 'Too hot here: it will not do well, so there is no harvest date. Move it somewhere cooler.',
  dim: 'Too dim here: it hardly grows, so there is no harvest date. Move it somewhere brighter.'
};

/**
 * A window in words, with its range and never a false date:
 * “Opens Thursday, likely Wednesday to Saturday.”
 */
export function windowWords(
  { open, close, hindered, still }: WindowFacts,
  now: number,
  locale: Locale
): string {
  const day = (at: number) => dayWords(at, now, locale);
  if (!open.seen && hindered !== null && open.p50 > now) return HINDERED[hindered];
  if (!Number.isFinite(open.p50)) return 'It does not open as it stands: bring it to light, or move it.';
  if (open.seen) return closing(close, now, locale);
  if (open.p50 <= now && still !== null) return STILL[still];
  if (open.p50 <= now) return `Likely open since ${day(open.p50)}: look for the cue.`;
  const [from, to] = [open.p10, open.p90];
  if (daysAway(to, from, locale.zone) === 0) return `Opens ${day(open.p50)}.`;
  return `Opens ${day(open.p50)}, likely ${day(Math.max(from, now))} to ${day(to)}.`;
}

/** The same in a few words, for a tray that needs nothing: “opens Wednesday to Saturday”. */
export function windowBrief(facts: WindowFacts, now: number, locale: Locale): string {
  const { open, hindered } = facts;
  const day = (at: number) => dayWords(at, now, locale);
  if (!open.seen && hindered !== null && open.p50 > now) return `too ${hindered} here to open`;
  if (!Number.isFinite(open.p50)) return 'does not open as it stands';
  if (open.seen || open.p50 <= now) return windowWords(facts, now, locale);
  const [from, to] = [Math.max(open.p10, now), open.p90];
  return daysAway(to, from, locale.zone) === 0 ? `opens ${day(to)}` : `opens ${day(from)} to ${day(to)}`;
}

function closing(close: MarkForecast, now: number, locale: Locale): string {
  if (close.p50 <= now) return `Past its best since ${dayWords(close.p50, now, locale)}: cut what is good.`;
  return `Open now. Best before ${capital(dayWords(close.p50, now, locale))}.`
    .replace('Today', 'tonight')
    .replace('Tomorrow', 'tomorrow');
}
