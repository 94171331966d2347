import { t, table } from '$messages/t.ts';
import type { MarkForecast } from '$core/growth/forecastMark.ts';
import type { Hindrance } from '$core/growth/suit.ts';
import type { Projected } from '$core/sowing/project.ts';
import { daysAway, daysBetween, dayWords, type Locale } from './time.ts';

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
const STILL: Record<NonNullable<WindowFacts['still']>, string> = table('tray.still');

const HINDERED: Record<Hindrance, string> = table('tray.hindered');

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
  if (!Number.isFinite(open.p50)) return t('tray.doesNotOpenAsStands');
  if (open.seen) return closing(close, now, locale);
  if (open.p50 <= now && still !== null) return STILL[still];
  if (open.p50 <= now && close.p50 <= now) return t('tray.likelyPastSince', { day: day(close.p50) });
  if (open.p50 <= now) return t('tray.likelyOpenSinceDayLook', { day: day(open.p50) });
  const [from, to] = [open.p10, open.p90];
  if (daysAway(to, from, locale.zone) === 0) return t('tray.opensDay', { day: day(open.p50) });
  return t('tray.opensLikely', {
    day: day(open.p50),
    range: daysBetween(Math.max(from, now), to, now, locale)
  });
}

/** The same in a few words, for a tray that needs nothing: “opens Wednesday to Saturday”. */
export function windowBrief(facts: WindowFacts, now: number, locale: Locale): string {
  const { open, hindered } = facts;
  const day = (at: number) => dayWords(at, now, locale);
  if (!open.seen && hindered !== null && open.p50 > now) return t('tray.tooHinderedHereOpen', { hindered });
  if (!Number.isFinite(open.p50)) return t('tray.doesNotOpenAsStands2');
  if (open.seen || open.p50 <= now) return windowWords(facts, now, locale);
  const [from, to] = [Math.max(open.p10, now), open.p90];
  return daysAway(to, from, locale.zone) === 0
    ? t('tray.opensDay2', { day: day(to) })
    : t('tray.opensBetween', { range: daysBetween(from, to, now, locale) });
}

function closing(close: MarkForecast, now: number, locale: Locale): string {
  if (close.p50 <= now) return t('tray.pastBestSinceDayCut', { day: dayWords(close.p50, now, locale) });
  return daysAway(close.p50, now, locale.zone) === 0
    ? t('tray.openNowBestToday')
    : t('tray.openNowBestBeforeDay', { day: dayWords(close.p50, now, locale) });
}
