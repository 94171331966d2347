import type { HouseholdFacts, Projected } from '../sowing/project.ts';
import { DAY, type Millis } from '../time/zone.ts';
import type { Candidate } from './candidate.ts';
import { leavingReminders } from './leaving.ts';
import { absenceAt, type Period } from '../away/period.ts';
import type { Story } from '../sowing/projectInSteps.ts';
import { dryReminders } from './dry.ts';
import type { Reminder, Told } from './reminder.ts';
import { silentReminders, warmReminders, type LastRead } from './rooms.ts';
import { pantryReminders } from './pantry.ts';
import { roundReminders } from './rounds.ts';
import { isSilent } from './silence.ts';
import { timerReminders } from './timers.ts';
import { windowReminders } from './windows.ts';

/** What a household's reminders hang on, besides its trays. */
export interface Reminding {
  /** What it was told before. */
  told: readonly Told[];
  /** When anybody last recorded anything; a new household has just begun. */
  lastTouchAt: Millis;
  lastRead: readonly LastRead[];
  /** Up to when it was judged before. */
  since: Millis;
  /** Days on which nobody is at home. */
  away?: readonly Period[];
  /** Sowings of which something is in the pantry. */
  pantry?: readonly Projected[];
  /** Sowings that ended, whose containers are to be cleaned. */
  emptied?: readonly Projected[];
  /** What standing orders ask to begin; null for a household that has none. */
  onOrder?: readonly Candidate[] | null;
  /** Its sowings with what happened to them, for what comes due while it is away. */
  stories?: readonly Story[];
}

/** What is to be told now, and when to ask again if nothing happens meanwhile. */
export interface Judged {
  due: Reminder[];
  nextAt: Millis;
}

/** A household of which nothing is expected is looked at again after so long. */
const AT_LATEST = DAY;

/**
 * What a household is to be told at a moment, each once, by the same engine as its pages; and the next moment at which
 * there may be something, so that nobody need ask before.
 * @param projected the sowings under way, in the order the trays stand
 */
export function judge(
  facts: HouseholdFacts,
  projected: readonly Projected[],
  {
    told,
    lastTouchAt,
    lastRead,
    since,
    away = [],
    stories = [],
    pantry = [],
    emptied = [],
    onOrder = null
  }: Reminding,
  now: Millis
): Judged {
  if (projected.length === 0 && pantry.length === 0 && !onOrder) return { due: [], nextAt: Infinity };
  const { rhythm } = facts;
  const known = new Set(told.map(({ key }) => key));
  const silent = isSilent(projected, rhythm, lastTouchAt, now);
  const places = [...facts.places.values()];
  const all: Candidate[] = [
    ...timerReminders(projected, now),
    ...roundReminders(projected, rhythm, { lastTouchAt, since, emptied }, now),
    ...windowReminders(projected, rhythm, told, now),
    // Of a tray that nobody has said anything about for days, nobody knows whether it is dry.
    ...(silent ? [] : dryReminders(projected, rhythm, now)),
    ...warmReminders(projected, places, rhythm, known, now),
    ...silentReminders(projected, places, lastRead, rhythm),
    ...leavingReminders(facts, stories, away, now),
    ...pantryReminders(pantry, rhythm),
    ...(onOrder ?? [])
  ]
    .filter(({ key, until }) => !known.has(key) && until > now)
    // Whoever is away can do nothing about it; whoever looks after the trays has a page of their own.
    .filter(({ dueAt }) => absenceAt(away, rhythm, Math.max(dueAt, since)) === null);
  const due = all
    .filter(({ dueAt }) => dueAt <= now)
    .flatMap(({ body, ...reminder }): Reminder[] => {
      const said = body(now);
      return said ? [{ ...reminder, body: said }] : [];
    });
  const ahead = all.map(({ dueAt }) => dueAt).filter((at) => at > now);
  return { due, nextAt: Math.min(now + AT_LATEST, ...ahead) };
}
