import { isSoaked } from '../crops/crop.ts';
import type { MouldRisk } from '../diagnosis/mould.ts';
import { CUES, type Cue } from '../sowing/event.ts';
import type { Projected } from '../sowing/project.ts';
import { coveredUntil, lastSaw, sawLately, type Contradiction } from '../sowing/reduce.ts';
import { beginsAt, sowableAt } from '../sowing/soak.ts';
import { stageAt, uncoversAt } from '../sowing/stage.ts';
import type { Look } from '../growth/looks.ts';
import { ROUND_LEAD_H, type Round } from '../time/rhythm.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import type { Moisture } from '../water/bucket.ts';
import { moisturesAt } from '../water/level.ts';
import { careSteps } from './care.ts';
import { lighting, stepsOf, uncovering } from './compile.ts';
import { cutStep, isCuttable } from './cut.ts';
import { dueOnce, type DueStep } from './due.ts';
import { notesOf } from './notes.ts';
import type { BodyOf, StepKind } from './step.ts';
import { keyOf } from './ticked.ts';

/** A cue is looked for from this chance on of having been reached by the next round. */
const LOOK_CHANCE = 0.05;

/** A cue that was seen is offered again after this long: once a day, if a little before the same hour. */
const AGAIN_MS = 20 * HOUR;

/** Who has just answered “not yet” is not asked again before so long. */
const ANSWERED_MS = 4 * HOUR;

/** A cue worth looking for, with the chance that it has been reached. */
export interface CueLook {
  cue: Cue;
  chance: number;
}

/** Something to know, which asks for nothing to be done. */
export type Note =
  /** It has stood dry for longer than its crop bears: nothing is promised until somebody has looked. */
  | { kind: 'may-be-lost' }
  /** It is believed nearly dry: touched before anything else. */
  | { kind: 'touch-it'; share: number }
  /** No water now: it is cut soon, and dry leaves keep longer. */
  | { kind: 'dry-hours'; share: number }
  /** How much water is left cannot be told: lifted or touched first, it need not be guessed. */
  | { kind: 'unsure' }
  /** So much goes between two rounds that even a full tray hardly lasts. */
  | { kind: 'thirsty' }
  /** Somebody found water standing under it and has not poured it off since. */
  | { kind: 'pour-off' }
  /** More was poured than it holds. */
  | { kind: 'too-much'; g: number; at: Millis }
  | { kind: 'mould-risk'; risk: MouldRisk }
  | { kind: 'scorch' }
  /** It was brought to light, and stands at a place that has none. */
  | { kind: 'in-the-dark' }
  /** Moving air hurts it in its first days of light. */
  | { kind: 'still-air' }
  /** It stands in the shade on a sill until then. */
  | { kind: 'shaded'; until: Millis }
  /** It was to begin then, and a whole round went by. */
  | { kind: 'not-begun'; at: Millis }
  | { kind: 'contradiction'; between: Contradiction }
  /** Far from all that is believed, and kept all the same: very early for it, or very late. */
  | { kind: 'unlikely'; look: Look; early: boolean };

/** What one sowing asks for in a round. */
export interface Ask {
  steps: DueStep[];
  /** The cue to look for, most pressing first; at most one, for one look tells one thing. */
  look: CueLook | null;
  /** A cue that was seen already, offered again at most once a day, since one answer is easily wrong. */
  again: Cue | null;
  /** Until when it would stay covered if the grower chooses so; null where nothing is about to come off. */
  staysCoveredUntil: Millis | null;
  /** What was seen in this round may have been so on the round before already: one more touch tells. */
  since: { cue: Cue; at: Millis } | null;
  /** What it may be told to feel like; nothing where the medium cannot be seen. */
  feel: readonly Moisture[];
  /** When its preparation begins, while that is still to come; null once it asks for something or was begun. */
  beginsAt: Millis | null;
  notes: Note[];
}

/** What a sowing asks for in this round: steps with their amounts, and the look that would tell most. */
export function askOf(sowing: Projected, round: Round, now: Millis): Ask {
  const { state, path, soak } = sowing;
  if (state.stage === 'ended')
    return {
      steps: [],
      look: null,
      again: null,
      staysCoveredUntil: null,
      since: null,
      feel: [],
      beginsAt: null,
      notes: []
    };
  const steps = [...stageSteps(sowing, round, now), ...careSteps(sowing, round, now)].filter(
    ({ key }) => !state.ticked.has(key)
  );
  const bare = state.sownAt !== null && (state.stage !== 'press' || path.cover === 'none');
  const look = lookOf(sowing, round, now);
  return {
    steps,
    look,
    again: look === null ? againOf(sowing, now) : null,
    staysCoveredUntil: staysCoveredUntil(sowing, round, steps, look),
    since: sinceOf(sowing, round),
    feel: bare ? moisturesAt(sowing, now) : [],
    beginsAt: state.stage === 'prepare' && steps.length === 0 ? beginsAt(soak) : null,
    notes: notesOf(sowing, round, now)
  };
}

/** Where a step of a sowing's protocol stands in it. */
function bodyOf<K extends StepKind>(sowing: Projected, kind: K): BodyOf<K> | undefined {
  return stepsOf(sowing).find(({ body }) => body.kind === kind)?.body as BodyOf<K> | undefined;
}

/** The step that takes the sowing to its next stage, once its time has come. */
function stageSteps(sowing: Projected, round: Round, now: Millis): DueStep[] {
  const { state, soak, crop, path, forecast } = sowing;
  const horizon = Math.max(now, round.nextAt - HOUR);
  const once = (kind: StepKind, dueAt: Millis, goesWith: readonly StepKind[] = []): DueStep[] => {
    const body = bodyOf(sowing, kind);
    const others = goesWith.flatMap((other) => bodyOf(sowing, other) ?? []);
    return body ? [dueOnce(keyOf(kind), body, dueAt, round, others)] : [];
  };
  const sow = (at: Millis) => once('sow', at, ['fill', 'damp', 'cover', 'mist', 'press']);
  switch (stageAt(sowing, now)) {
    case 'prepare':
      if (soak.soakStart !== null && isSoaked(crop))
        return soak.soakStart > horizon ? [] : once('soak', soak.soakStart);
      return soak.sowAt > horizon ? [] : sow(soak.sowAt);
    case 'soak':
      return soak.soakEnd! > horizon ? [] : once('drain', soak.soakEnd!);
    case 'drain': {
      const ready = sowableAt(crop, state.drainedAt!);
      return ready > horizon ? [] : sow(ready);
    }
    case 'press': {
      const rootedAt = reachedAt(sowing, 'rooted') ?? forecast.marks.rooted.p90;
      const body = uncovering(sowing);
      const dueAt = uncoversAt(sowing, rootedAt);
      // What was not pressed while it was time is not pressed any more.
      if (dueAt <= now)
        return body ? [dueOnce('uncover', body, sinceTold(sowing, 'rooted', dueAt), round)] : [];
      return path.pressesLate && state.pressedAt === null && rootedAt <= now ? once('weight', rootedAt) : [];
    }
    case 'blackout': {
      if (path.lightFrom === null) return cutSteps(sowing, round, now);
      const dueAt = domeOverAt(sowing, now);
      const body = lighting(sowing);
      return dueAt <= now ? [dueOnce('light', body, sinceTold(sowing, 'lightReady', dueAt), round)] : [];
    }
    case 'light':
      return cutSteps(sowing, round, now);
    case 'ended':
      return [];
  }
}

/**
 * When a step first appeared as due. The answer "longer" dates a cue back to the previous round, but the step appears only after that
 * answer.
 */
function sinceTold({ state }: Projected, cue: Cue, dueAt: Millis): Millis {
  const [first, second] = state.looks.filter(({ mark, reached }) => mark === cue && reached);
  return first && second && second.at - first.at < AGAIN_MS ? Math.max(dueAt, second.at) : dueAt;
}

/** When a cue was seen; null while it was not. */
const reachedAt = ({ state }: Projected, cue: Cue): Millis | null =>
  state.seen.find(({ mark }) => mark === cue)?.reachedAt ?? null;

/**
 * When its time under the dome is up: by the days the method counts, by how high its stems stand, by the look of them, or by the
 * outer end of what is expected. Long thin stems, mould or rot in the dark end it at once: light and air are what helps.
 */
function domeOverAt(sowing: Projected, now: Millis): Millis {
  const { path, state, forecast } = sowing;
  if (path.lightFrom === 'rooted') return state.uncoveredAt!;
  const counted = path.darkDays === null ? null : sowing.startAt + path.darkDays * DAY;
  const alarm = lastSaw(state, ['stretched', 'mould', 'fallen-rot']);
  if (alarm !== null && sawLately(state, ['stretched', 'mould', 'fallen-rot'], now)) return alarm;
  const byMethod =
    path.domeDays !== null
      ? state.uncoveredAt! + path.domeDays * DAY
      : (counted ?? forecast.highAt ?? reachedAt(sowing, 'lightReady') ?? forecast.marks.lightReady.p90);
  return Math.max(byMethod, coveredUntil(state));
}

function cutSteps(sowing: Projected, round: Round, now: Millis): DueStep[] {
  const { forecast, state } = sowing;
  const open = forecast.marks.windowOpen.p50;
  if (now < open || !isCuttable(sowing, now)) return [];
  // A part cut today is enough for today; the rest asks again tomorrow.
  if (state.cuts.some(({ at }) => at > round.at - 12 * HOUR)) return [];
  // A window that stands open is never late.
  return [{ key: 'cut', body: cutStep(sowing, now), dueAt: open, late: false, with: [] }];
}

/** The cues that a sowing passes: stems are looked at where a dome is on them that is to come off for light. */
export const cuesOf = ({ path }: Pick<Projected, 'path'>): readonly Cue[] =>
  CUES.filter((cue) => cue !== 'lightReady' || (path.blackout && path.lightFrom !== null));

/** The next cue that has not been seen, where it may have been reached; the one of the present stage. */
function lookOf(sowing: Projected, round: Round, now: Millis): CueLook | null {
  const { state, forecast } = sowing;
  if (state.sownAt === null) return null;
  const passed = {
    rooted: state.regrowsSince ?? state.pressedAt ?? state.uncoveredAt ?? state.litAt,
    lightReady: state.regrowsSince ?? state.litAt,
    windowOpen: null
  };
  const next = cuesOf(sowing).find((cue) => reachedAt(sowing, cue) === null && passed[cue] === null);
  if (next !== 'windowOpen' && coveredUntil(state) > now) return null;
  // Nobody looks at stems through what lies on them.
  if (!next || (next !== 'rooted' && stageAt(sowing, now) === 'press')) return null;
  if (state.looks.some(({ mark, at }) => mark === next && at <= now && now - at < ANSWERED_MS)) return null;
  const chance = forecast.chance(next, Math.max(now, round.at));
  return Math.max(chance, forecast.chance(next, round.nextAt)) >= LOOK_CHANCE ? { cue: next, chance } : null;
}

/** The cue that was seen last, while it can still be observed: in its own stage, or for the opening until all is cut. */
function againOf(sowing: Projected, now: Millis): Cue | null {
  const { state } = sowing;
  const last = state.looks.at(-1);
  if (!last?.reached || now - last.at < AGAIN_MS) return null;
  const stage = stageAt(sowing, now);
  const cue = last.mark as Cue;
  return cue === 'windowOpen' || stage === { rooted: 'press', lightReady: 'blackout' }[cue] ? cue : null;
}

/** The same round tomorrow, where the cue of its cover is offered or the cover is due to come off. */
function staysCoveredUntil(
  { path, state }: Projected,
  round: Round,
  steps: readonly DueStep[],
  look: CueLook | null
): Millis | null {
  if (path.cover === 'none' || state.sownAt === null || state.litAt !== null) return null;
  const comesOff = steps.some(({ body }) => body.kind === 'uncover' || body.kind === 'light');
  const asks =
    look !== null && look.cue !== 'windowOpen' && (look.cue !== 'rooted' || state.stage === 'press');
  return comesOff || asks ? round.at + DAY - ROUND_LEAD_H * HOUR : null;
}

/** What was seen first in this round, where nobody spoke of it on the round before. */
function sinceOf({ state }: Projected, round: Round): Ask['since'] {
  const last = state.looks.findLast(({ reached }) => reached);
  const [at] = round.before;
  if (!last || last.at < round.at - ROUND_LEAD_H * HOUR || state.sownAt === null || at <= state.sownAt)
    return null;
  const spoke = state.looks.some(
    (look) => look !== last && look.mark === last.mark && look.at >= at - ROUND_LEAD_H * HOUR
  );
  return spoke ? null : { cue: last.mark as Cue, at };
}
