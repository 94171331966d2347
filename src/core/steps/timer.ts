import { RINSE_MIN } from '../supplies/seed/rinse.ts';
import { drainHours, softAt, sowableAt } from '../sowing/soak.ts';
import type { SowingSetup } from '../sowing/sowing.ts';
import type { Projected } from '../sowing/project.ts';
import { HOUR, MINUTE, type Millis } from '../time/zone.ts';

export type TimerKind = 'rinse' | 'disinfect' | 'soak' | 'drain';

/** Something that runs by the clock. It follows from what was ticked, so nothing can lose it. */
export interface Timer {
  /** Names it across devices. */
  key: string;
  sowingId: string;
  cropName: string;
  /** Which containers it is of. */
  of: Pick<SowingSetup, 'container' | 'count' | 'trayNo'>;
  kind: TimerKind;
  startedAt: Millis;
  endsAt: Millis;
  /** Past this it does harm; null where longer does none. */
  latestAt: Millis | null;
  /** Nobody is up when it ends: it was begun at another hour than planned. */
  endsAsleep: boolean;
}

/** Where a timer stands. */
export type TimerState = 'running' | 'due' | 'last-hour' | 'missed';

/** A rinse that is over needs no tick: it is shown a while longer and then forgotten. */
const FORGOTTEN_AFTER = 10 * MINUTE;
/** Contact may run over by this share before it counts as missed. */
const CONTACT_SLACK = 0.5;
/** Drained seed left longer than this, damp and warm, starts to sour (starting figure). */
const DRAIN_SLACK_H = 12;

/** The timers of a sowing that runs at that moment. */
export function timersOf(projected: Projected, now: Millis): Timer[] {
  const { state, setup, crop, method, soak } = projected;
  if (state.stage === 'ended' || state.sownAt !== null) return [];
  const timer = (kind: TimerKind, startedAt: Millis, endsAt: Millis, latestAt: Millis | null): Timer => ({
    key: `${setup.id}:${kind}:${startedAt}`,
    sowingId: setup.id,
    cropName: crop.name,
    of: { container: setup.container, count: setup.count, trayNo: setup.trayNo },
    kind,
    startedAt,
    endsAt,
    latestAt,
    endsAsleep: kind === 'soak' && soak.endsAsleep
  });
  if (state.drainedAt !== null) {
    const ready = sowableAt(crop, state.drainedAt);
    return drainHours(crop) > 0 ? [timer('drain', state.drainedAt, ready, ready + DRAIN_SLACK_H * HOUR)] : [];
  }
  if (state.soakedAt !== null)
    return [timer('soak', state.soakedAt, soak.soakEnd!, softAt(crop, state.soakedAt))];
  const contact = state.prepared.get('disinfect');
  if (contact && !state.prepared.has('rinse-off')) {
    const length = method.disinfectRule.minutes * MINUTE;
    return [timer('disinfect', contact.at, contact.at + length, contact.at + length * (1 + CONTACT_SLACK))];
  }
  const rinse = state.prepared.get('rinse');
  if (rinse && !contact && now < rinse.at + RINSE_MIN * MINUTE + FORGOTTEN_AFTER)
    return [timer('rinse', rinse.at, rinse.at + RINSE_MIN * MINUTE, null)];
  return [];
}

/** Where a timer stands at a moment: a soak is warned about in its last hour. */
export function timerState({ endsAt, latestAt, kind }: Timer, now: Millis): TimerState {
  if (latestAt !== null && now >= latestAt) return 'missed';
  if (kind === 'soak' && now >= latestAt! - HOUR) return 'last-hour';
  return now >= endsAt ? 'due' : 'running';
}
