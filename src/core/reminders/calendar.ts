import { isSoaked } from '../crops/crop.ts';
import type { HouseholdFacts, Projected } from '../sowing/project.ts';
import type { Story } from '../sowing/projectInSteps.ts';
import { goThroughInSteps, standingInSteps } from '../steps/ahead.ts';
import { isPromised } from '../growth/suit.ts';
import { givesAtG } from '../harvest/expected.ts';
import { DAY, MINUTE, type Millis } from '../time/zone.ts';
import { namedOf } from './named.ts';
import type { Named, OnOrder, ReminderBody } from './reminder.ts';
import { bodyOfWalk } from './rounds.ts';

/** How many days of rounds are told in full: further on, what a tray asks for is not known well enough. */
const ROUND_DAYS = 7;
/** What a round takes where it has anything in it. */
const ROUND_MIN = 15;

/** One thing in a calendar, named by what it is, so that it moves there where it moves here. */
export type CalendarEntry = { uid: string; from: Millis; until: Millis } & (
  | { kind: 'round'; body: Extract<ReminderBody, { type: 'round' }> }
  | ({ kind: 'soak' } & Named)
  | ({ kind: 'order' } & OnOrder)
  /** Whole days, from the day of `from` to the day of `until`. */
  | ({ kind: 'window'; earliest: Millis; latest: Millis; bestAt: Millis; expectedG: number } & Named)
);

/** The household's days to come: rounds with their content, soaks, and harvest windows; in small steps. */
export function* calendarOf(
  facts: HouseholdFacts,
  stories: readonly Story[],
  now: Millis
): Generator<void, CalendarEntry[], void> {
  const ahead = yield* goThroughInSteps(facts, stories, now - 12 * 60 * MINUTE, now + ROUND_DAYS * DAY);
  const rounds = ahead.rounds.flatMap(({ at, walk }): CalendarEntry[] => {
    const body = bodyOfWalk(walk);
    return body
      ? [{ uid: `round-${body.roundKey}`, kind: 'round', from: at, until: at + ROUND_MIN * MINUTE, body }]
      : [];
  });
  const standing = yield* standingInSteps(facts, stories);
  return [...rounds, ...standing.flatMap((sowing) => [...soakEntry(sowing), ...windowEntry(sowing)])];
}

function soakEntry(sowing: Projected): CalendarEntry[] {
  const { state, soak, crop, setup } = sowing;
  if (state.sownAt !== null || state.drainedAt !== null || !isSoaked(crop)) return [];
  if (soak.soakStart === null || soak.soakEnd === null) return [];
  return [
    { uid: `soak-${setup.id}`, kind: 'soak', from: soak.soakStart, until: soak.soakEnd, ...namedOf([sowing]) }
  ];
}

function windowEntry(sowing: Projected): CalendarEntry[] {
  const { windowOpen: open, windowBest: best, windowClose: close } = sowing.forecast.marks;
  if (!isPromised(sowing) || !Number.isFinite(close.p50)) return [];
  return [
    {
      uid: `window-${sowing.setup.id}`,
      kind: 'window',
      from: open.p50,
      until: Math.max(open.p50, close.p50),
      earliest: open.p10,
      latest: open.p90,
      bestAt: best.p50,
      expectedG: givesAtG(sowing, best.p50).usual,
      ...namedOf([sowing])
    }
  ];
}
