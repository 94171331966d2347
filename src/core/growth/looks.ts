import type { Millis } from '../time/zone.ts';
import type { Mark } from './marks.ts';
import { ERRS } from './slips.ts';
import { ANYBODY } from './telling.ts';

/** What one look said of a mark. */
export interface Look {
  mark: Mark;
  at: Millis;
  reached: boolean;
  eventId: string;
}

/** All that was said, and not said, of a sowing's marks while it grew. */
export interface Heard {
  looks: readonly Look[];
  /** Rounds in which somebody dealt with it and could have said a mark, and did not: when, by mark. */
  silent: Partial<Record<Mark, readonly Millis[]>>;
  /** When somebody last looked for a cue of the dark, of what has not come to light: up to then it stood there. */
  darkUntil: Millis | null;
}

export const NOTHING_HEARD: Heard = { looks: [], silent: {}, darkUntil: null };

/**
 * The share of answers to early cues that follow the grower's own calendar and not the tray: a weight stays on for four days, and
 * "not yet" means no more than that (docs/model.md, 5).
 */
const BY_CALENDAR = 0.2;
const EARLY_CUES: readonly Mark[] = ['rooted', 'lightReady'];

/** Of those who answer, so many leave a mark untouched that is there; so many answer at all. */
export interface Answering {
  answers: number;
  leaves: number;
  /** The rate of wrong answers, either way; ERRS by default. */
  errs?: number;
}

/** A stretch in which a mark may have been reached, with how well that agrees with all that was said of it. */
export interface Interval {
  /** -Infinity for from the beginning on, Infinity for not yet. */
  from: Millis;
  until: Millis;
  agrees: number;
}

/** Less than this of the best agreement is none, and intervals this near each other agree alike. */
const NOTHING = 1e-12;
const ALIKE = 0.003;

/**
 * What looks and silences say of the moment at which a mark was reached: intervals between them, each with the chance of
 * all that was said given that it fell there. Silences of one mark hang together: who answers is one person for all of
 * them.
 */
export function intervalsOf(
  { looks, silent }: Heard,
  mark: Mark,
  { answers, leaves, errs = ERRS }: Answering = ANYBODY
): Interval[] {
  const said = looks.filter((look) => look.mark === mark);
  const unsaid = silent[mark] ?? [];
  if (said.length + unsaid.length === 0) return [];
  const points = [
    ...said.map((look) => ({ at: look.at, reached: look.reached })),
    ...unsaid.map((at) => ({ at, reached: null }))
  ].sort((a, b) => a.at - b.at);
  // Reached before all of them: every yes was right, every no wrong, every silence was somebody's who saw it.
  let looked = 1;
  let left = 0;
  for (const { reached } of points)
    if (reached === null) left += 1;
    else looked *= reached ? 1 - errs : errs;
  const agreesNow = () => looked * (answers * leaves ** left + 1 - answers);
  const all: Interval[] = [{ from: -Infinity, until: points[0]!.at, agrees: agreesNow() }];
  points.forEach(({ at, reached }, index) => {
    if (reached === null) left -= 1;
    else looked *= reached ? errs / (1 - errs) : (1 - errs) / errs;
    all.push({ from: at, until: points[index + 1]?.at ?? Infinity, agrees: agreesNow() });
  });
  // Answers that follow a calendar switch to yes on any day: all n + 1 possible sequences are equally likely.
  if (EARLY_CUES.includes(mark) && said.some(({ reached }) => !reached))
    for (const interval of all)
      interval.agrees = (1 - BY_CALENDAR) * interval.agrees + BY_CALENDAR / (said.length + 1);
  return merged(all);
}

/** Neighbours that nothing tells apart are one: a hundred looks leave a handful. */
function merged(all: readonly Interval[]): Interval[] {
  const least = NOTHING * Math.max(...all.map(({ agrees }) => agrees));
  const merged: Interval[] = [];
  for (const one of all) {
    const last = merged.at(-1);
    const agrees = one.agrees < least ? 0 : one.agrees;
    if (last && (one.from === one.until || Math.abs(last.agrees - agrees) <= ALIKE * agrees))
      last.until = one.until;
    else merged.push({ ...one, agrees });
  }
  return merged;
}
