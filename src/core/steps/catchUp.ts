import type { EventBody } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { stageAt, uncoversAt } from '../sowing/stage.ts';
import type { Millis } from '../time/zone.ts';

/** What a tray may have come to while nobody said anything: as it was last, or a stage further on. */
export type Truth = 'as-it-was' | 'sown' | 'uncovered' | 'lit';

/** What may be true of a tray now, in the order it goes through. */
export function truthsOf(
  sowing: Pick<Projected, 'state' | 'path' | 'forecast' | 'firstGrowth'>,
  now: Millis
): Truth[] {
  const { path } = sowing;
  const covered = path.cover !== 'none';
  const further: Truth[] = [
    ...(covered && path.blackout ? (['uncovered'] as const) : []),
    ...(covered && path.lightFrom !== null ? (['lit'] as const) : [])
  ];
  switch (stageAt(sowing, now)) {
    case 'prepare':
    case 'soak':
    case 'drain':
      return ['as-it-was', 'sown', ...further];
    case 'press':
      return ['as-it-was', ...further];
    case 'blackout':
      return path.lightFrom === null ? ['as-it-was'] : ['as-it-was', 'lit'];
    case 'light':
    case 'ended':
      return ['as-it-was'];
  }
}

const within = (at: Millis, from: Millis, until: Millis): Millis => Math.min(Math.max(at, from), until);

/** When it most likely came to that: as it is expected to, within the time that nobody said anything. */
export function likelyAt(
  sowing: Pick<Projected, 'soak' | 'forecast' | 'path' | 'state' | 'startAt'>,
  truth: Truth,
  since: Millis,
  now: Millis
): Millis {
  const { soak, forecast } = sowing;
  const expected: Record<Truth, Millis> = {
    'as-it-was': now,
    sown: soak.sowAt,
    uncovered: uncoversAt(sowing, forecast.marks.rooted.p50),
    lit: forecast.litAt
  };
  return within(expected[truth], since, now);
}

/**
 * What is recorded where a tray is said to have come to something, with what must have been done on the way. Nothing else is
 * taken for done, and nothing for left out.
 */
export function eventsOfTruth(
  sowing: Projected,
  truth: Truth,
  at: Millis,
  since: Millis
): { at: Millis; body: EventBody }[] {
  if (truth === 'as-it-was') return [];
  const { state, path, soak, forecast } = sowing;
  const events: { at: Millis; body: EventBody }[] = [];
  let before = since;
  if (state.sownAt === null) {
    before = truth === 'sown' ? at : within(soak.sowAt, since, at);
    events.push({ at: before, body: { type: 'sown', waterG: 0 } });
  }
  if (truth === 'sown') return events;
  if (path.blackout && state.uncoveredAt === null) {
    const off =
      truth === 'uncovered' ? at : within(uncoversAt(sowing, forecast.marks.rooted.p50), before, at);
    events.push({ at: off, body: { type: 'uncovered' } });
  }
  if (truth === 'lit') events.push({ at, body: { type: 'lit' } });
  return events;
}

/** Whether somebody must say what is true of a tray: nobody has since then, and there was something to say. */
export const isUnheardOf = (
  { state, soak }: Pick<Projected, 'state' | 'soak'>,
  lastHeardAt: Millis,
  since: Millis,
  now: Millis
): boolean =>
  state.stage !== 'ended' &&
  lastHeardAt <= since &&
  (state.sownAt !== null || state.soakedAt !== null || (soak.soakStart ?? soak.sowAt) < now);
