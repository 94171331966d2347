import type { Followed } from '../sowing/follow.ts';
import type { Plan } from '../plan/plan.ts';
import type { Path } from '../methods/path.ts';
import type { SoakPlan } from '../soak/schedule.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Forecast } from '../window/forecast.ts';
import type { MarkForecast } from '../window/forecastMark.ts';

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

interface Happened {
  soakedAt: Millis | null;
  drainedAt: Millis | null;
  sownAt: Millis | null;
  uncoveredAt: Millis | null;
  litAt: Millis | null;
}

const NOTHING: Happened = { soakedAt: null, drainedAt: null, sownAt: null, uncoveredAt: null, litAt: null };

/** The bands of a sowing that is only planned. */
export const bandsOfPlan = (plan: Plan): Bands =>
  bandsOf(plan.soak, plan.path, plan.forecast, plan.soak.sowAt, NOTHING);

/** The bands of a sowing under way: what happened, then what is expected. */
export const bandsOfSowing = ({ soak, path, forecast, sownAt, state }: Followed): Bands =>
  bandsOf(soak, path, forecast, sownAt, state);

function bandsOf(soak: SoakPlan, path: Path, forecast: Forecast, sownAt: Millis, done: Happened): Bands {
  const { rooted, lightReady, windowOpen, windowBest, windowClose } = forecast.marks;
  const bands: Band[] = [];
  const push = (kind: BandKind, from: Millis, until: Millis, sure: boolean) => {
    if (until > from) bands.push({ kind, from, until, sure });
  };
  if (soak.soakStart !== null && (done.sownAt === null || done.soakedAt !== null)) {
    const begun = done.soakedAt ?? soak.soakStart;
    const drained = done.drainedAt ?? Math.min(soak.soakEnd!, sownAt);
    push('soak', begun, drained, done.drainedAt !== null);
    push('drain', drained, sownAt, done.sownAt !== null);
  }
  const end = windowOpen.p50;
  const rootedAt = done.uncoveredAt ?? (path.blackout ? rooted.p50 : Infinity);
  const litAt =
    done.litAt ??
    (path.lightFrom === null
      ? Infinity
      : path.lightFrom === 'sown'
        ? sownAt
        : path.lightFrom === 'rooted'
          ? rooted.p50
          : path.domeDays !== null
            ? (done.uncoveredAt ?? rooted.p50) + path.domeDays * DAY
            : lightReady.p50);
  const pressEnd = Math.min(rootedAt, litAt, end);
  if (path.lightFrom !== 'sown')
    push('press', sownAt, pressEnd, done.uncoveredAt !== null || done.litAt !== null);
  if (path.blackout && pressEnd < Math.min(litAt, end))
    push('blackout', pressEnd, Math.min(litAt, end), done.litAt !== null);
  if (Number.isFinite(litAt)) push('light', path.lightFrom === 'sown' ? sownAt : litAt, end, windowOpen.seen);
  return { bands, open: windowOpen, best: windowBest, close: windowClose };
}
