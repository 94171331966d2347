import { isPromised } from '../growth/suit.ts';
import { FORECAST_VERSION } from '../growth/forecast.ts';
import type { Crop } from '../crops/crop.ts';
import type { Projected } from '../sowing/project.ts';
import { expectedAtG } from '../harvest/expected.ts';
import { isCuttable } from '../steps/cut.ts';
import { stageAt } from '../sowing/stage.ts';
import { roundsBetween, type Rhythm } from '../time/rhythm.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Candidate } from './candidate.ts';
import { namedOf } from './named.ts';
import type { ReminderBody, Told, WindowState } from './reminder.ts';

/** The forecast has truly moved once it is so much later than was said; less is what looks always move it (starting figure). */
const MOVED_D = 1.5;

/** Crops cut as seed leaves turn bitter or tough as the next leaves come; the others only grow on. */
const turns = ({ harvestCue }: Crop): boolean => harvestCue === 'cotyledon';

/**
 * Harvest windows: the evening before one opens, once it is open, the evening before it closes, and past it for crops that
 * turn. Each once, at a round; an opening again only where the forecast has moved by more than a day and a half since it
 * was told.
 */
export const windowReminders = (
  projected: readonly Projected[],
  rhythm: Rhythm,
  told: readonly Told[],
  now: Millis
): Candidate[] => projected.flatMap((sowing) => windowOf(sowing, rhythm, told, now));

function windowOf(sowing: Projected, rhythm: Rhythm, told: readonly Told[], now: Millis): Candidate[] {
  const { forecast, state, setup, crop } = sowing;
  const { windowOpen: open, windowBest: best, windowClose: close } = forecast.marks;
  if (state.sownAt === null || state.stage === 'ended' || !isPromised(sowing)) return [];
  // A part was cut: whoever cuts it knows that it stands open.
  const known = open.seen || state.cuts.length > 0;
  const saidBefore = (which: WindowState) =>
    told.filter(({ key }) => key.startsWith(`window:${which}:${setup.id}`));
  const movedSince = (
    which: WindowState
  ): { again: number; wasAt: Millis | null; byUpdate: boolean } | null => {
    const before = saidBefore(which);
    const last = before.toSorted((a, b) => timesSaid(b) - timesSaid(a))[0];
    if (!last) return { again: 0, wasAt: null, byUpdate: false };
    if (last.opensAt === null) return null;
    const byUpdate = (last.forecast ?? FORECAST_VERSION) !== FORECAST_VERSION;
    const laterBy = open.p50 - last.opensAt;
    // If an update moved the window, both directions count.
    const hasMoved = byUpdate ? Math.abs(laterBy) >= DAY : laterBy >= MOVED_D * DAY;
    return hasMoved ? { again: before.length, wasAt: last.opensAt, byUpdate } : null;
  };
  const candidate = (
    which: WindowState,
    {
      at,
      until,
      again = 0,
      wasAt = null,
      byUpdate = false
    }: { at: Millis; until: Millis; again?: number; wasAt?: Millis | null; byUpdate?: boolean }
  ): Candidate => ({
    key: `window:${which}:${setup.id}${again > 0 ? `:${again}` : ''}`,
    kind: 'window',
    dueAt: at,
    until,
    body: (moment): ReminderBody | null =>
      isGrown(sowing, moment)
        ? {
            ...namedOf([sowing]),
            type: 'window',
            state: which,
            opensAt: open.p50,
            from: open.p10,
            to: open.p90,
            bestAt: best.p50,
            closesAt: close.p50,
            expectedG: expectedAtG(sowing, Math.max(moment, open.p50)).usual,
            wasAt,
            forecast: FORECAST_VERSION,
            byUpdate
          }
        : null
  });
  const found: Candidate[] = [];
  const opening = known || open.p50 <= now ? null : movedSince('opening');
  if (opening) {
    const at = roundBefore(rhythm, open.p50);
    if (at !== null) found.push(candidate('opening', { at, until: open.p50, ...opening }));
  }
  const opened = known ? null : movedSince('open');
  if (opened) {
    const at = roundFrom(rhythm, open.p50);
    if (at !== null && at < close.p50)
      found.push(candidate('open', { at, until: close.p50 - DAY / 2, ...opened }));
  }
  if (saidBefore('closing').length === 0) {
    const at = roundBefore(rhythm, close.p50);
    if (at !== null && at > open.p50) found.push(candidate('closing', { at, until: close.p50 }));
  }
  if (turns(crop) && saidBefore('past').length === 0) {
    const at = roundFrom(rhythm, close.p50);
    if (at !== null) found.push(candidate('past', { at, until: close.p50 + 3 * DAY }));
  }
  return found;
}

/** How many reminders of the same window came before this one: its key ends in that number. */
const timesSaid = ({ key }: Told): number => Number(key.split(':')[3] ?? 0);

/** Whether it stands so that it could be cut, or will by a step that is due. */
const isGrown = (sowing: Projected, now: Millis): boolean =>
  isCuttable(sowing, now) || stageAt(sowing, now) === 'blackout';

/** The last round of the day before a moment's; null where there is none, as a moment that is never. */
function roundBefore(rhythm: Rhythm, at: Millis): Millis | null {
  if (!Number.isFinite(at)) return null;
  const { zone, roundsMin } = rhythm;
  return zone.at(zone.date(at).subtract({ days: 1 }), roundsMin.at(-1)!);
}

/** The first round at a moment or after it. */
function roundFrom(rhythm: Rhythm, at: Millis): Millis | null {
  if (!Number.isFinite(at)) return null;
  return roundsBetween(rhythm, at, at + 2 * DAY)[0] ?? null;
}
