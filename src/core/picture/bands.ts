import type { Projected } from '../sowing/project.ts';
import { uncoversAt } from '../sowing/stage.ts';
import type { Millis } from '../time/zone.ts';
import type { MarkForecast } from '../growth/forecastMark.ts';

export type BandKind = 'soak' | 'drain' | 'press' | 'blackout' | 'light';

/** One stage as a stretch of time; it may still shift where it is not `sure`. */
export interface Band {
  kind: BandKind;
  from: Millis;
  until: Millis;
  /** Both its ends have happened. */
  sure: boolean;
}

/** Stages one after the other, and the window with its soft edges. */
export interface Bands {
  bands: Band[];
  open: MarkForecast;
  best: MarkForecast;
  close: MarkForecast;
}

/** The bands of a sowing, planned or under way: what happened, then what is expected. */
export function bandsOf(sowing: Projected): Bands {
  const { soak, path, forecast, startAt, state } = sowing;
  const { rooted, windowOpen, windowBest, windowClose } = forecast.marks;
  const bands: Band[] = [];
  const push = (kind: BandKind, from: Millis, until: Millis, sure: boolean) => {
    if (until > from) bands.push({ kind, from, until, sure });
  };
  if (soak.soakStart !== null && (state.sownAt === null || state.soakedAt !== null)) {
    const begun = state.soakedAt ?? soak.soakStart;
    const drained = state.drainedAt ?? Math.min(soak.soakEnd!, startAt);
    push('soak', begun, drained, state.drainedAt !== null);
    push('drain', drained, startAt, state.sownAt !== null);
  }
  const end = windowOpen.p50;
  const { litAt } = forecast;
  const uncovers = path.blackout ? uncoversAt(sowing, rooted.p50) : Infinity;
  const pressEnd = Math.min(uncovers, litAt, end);
  push('press', startAt, pressEnd, state.uncoveredAt !== null || state.litAt !== null);
  if (path.blackout) push('blackout', pressEnd, Math.min(litAt, end), state.litAt !== null);
  if (Number.isFinite(litAt)) push('light', Math.max(litAt, startAt), end, windowOpen.seen);
  return { bands, open: windowOpen, best: windowBest, close: windowClose };
}
