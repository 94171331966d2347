import type { Projected } from '../sowing/project.ts';
import { timersOf, timerState, type Timer } from '../steps/timer.ts';
import { HOUR, MINUTE, type Millis } from '../time/zone.ts';
import type { Candidate } from './candidate.ts';

/** A rinse lasts five minutes, with somebody standing at it: the page's own ring is enough. */
const AT_THE_SINK = 'rinse';

/** The moments at which a timer has something to say: its end, its last hour, and when it was missed. */
function momentsOf(timer: Timer): { at: Millis; until: Millis }[] {
  const { endsAt, latestAt, kind } = timer;
  if (latestAt === null) return [{ at: endsAt, until: endsAt + 10 * MINUTE }];
  const lastHour = latestAt - HOUR;
  return [
    { at: endsAt, until: Math.max(endsAt + 5 * MINUTE, kind === 'soak' ? lastHour : latestAt) },
    ...(kind === 'soak' && lastHour > endsAt ? [{ at: lastHour, until: latestAt }] : []),
    { at: latestAt, until: latestAt + 12 * HOUR }
  ];
}

/** Soaks, contact times and drains at their own minute, and again before they do harm. */
export const timerReminders = (projected: readonly Projected[], now: Millis): Candidate[] =>
  projected
    .flatMap((sowing) => timersOf(sowing, now))
    .filter(({ kind }) => kind !== AT_THE_SINK)
    .flatMap((timer) =>
      momentsOf(timer).map(({ at, until }) => ({
        key: `timer:${timer.key}:${timerState(timer, at)}`,
        kind: 'timer' as const,
        dueAt: at,
        until,
        body: () => ({ type: 'timer' as const, timer, state: timerState(timer, at) })
      }))
    );

/** When a sowing's timers next have something to say; null for never. Cheap: every write asks. */
export function nextTimerAt(projected: readonly Projected[], now: Millis): Millis | null {
  const ahead = timerReminders(projected, now)
    .map(({ dueAt }) => dueAt)
    .filter((at) => at > now);
  return ahead.length > 0 ? Math.min(...ahead) : null;
}
