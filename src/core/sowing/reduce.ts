import {
  CUES,
  type BenchStep,
  type Cleaning,
  type Cue,
  type EventBody,
  type Handling,
  type LossReason,
  type SowingEvent,
  EVENT_TRAITS
} from './event.ts';
import type { WaterFact } from '../water/watered.ts';
import { DAY, HOUR, type Millis } from '../time/zone.ts';
import type { Symptom } from '../symptoms/symptom.ts';
import { DRAINED, HEFT, MOISTURE } from '../water/bucket.ts';
import type { Look } from '../growth/looks.ts';

export type Stage = 'prepare' | 'soak' | 'drain' | 'press' | 'blackout' | 'light' | 'ended';

export interface Cut {
  eventId: string;
  at: Millis;
  netG: number;
  share: number;
  /** In which growth: 0 from its seed, then from its stubs. */
  growth: number;
  handling: Handling | null;
}

/** What was done with what had been cut. */
export interface AfterCut {
  eventId: string;
  at: Millis;
  body: Extract<EventBody, { type: 'packed' | 'taken' | 'thrown' }>;
}

/** What is held of a cue: its last "not yet", and the look that saw it first since. */
export interface CueSeen {
  mark: Cue;
  notYetAt: Millis | null;
  reachedAt: Millis | null;
  eventId?: string;
}

/** A look that says other than an earlier one: both stand until one is taken back. */
export interface Contradiction {
  cue: Cue;
  /** Seen, as the one says. */
  reachedEventId: string;
  reachedAt: Millis;
  /** And not yet, as a later one says. */
  notYetEventId: string;
  notYetAt: Millis;
}

/** From one moment to another. */
export interface TimeSpan {
  from: Millis;
  until: Millis;
}

/** One line of a sowing's log. */
export interface LogLine {
  event: SowingEvent;
  /** Taken back by a later event. */
  undone: boolean;
  /** Says again what was done before, such as the same tick by a second person; it changed nothing. */
  repeat: boolean;
}

/** What a sowing's events come to. */
export interface SowingState {
  stage: Stage;
  /** Steps at the bench that were done, with when and by which event. */
  prepared: Map<BenchStep, { at: Millis; eventId: string }>;
  /** When it begins instead of when it was planned to; null for as planned. */
  putOffTo: Millis | null;
  soakedAt: Millis | null;
  drainedAt: Millis | null;
  sownAt: Millis | null;
  /** When the weight was laid on, where that is done once it has rooted. */
  pressedAt: Millis | null;
  uncoveredAt: Millis | null;
  litAt: Millis | null;
  /** When the grower chose to keep it covered. */
  staysCovered: TimeSpan[];
  moves: { from: Millis; placeId: string }[];
  /** The last word on each cue. */
  seen: CueSeen[];
  /** All that was said of its cues, in this growth; what contradicts itself as well. */
  looks: Look[];
  /** When somebody dealt with it: gave, felt, lifted, weighed, turned, aired or looked. */
  dealtAt: Millis[];
  contradictions: Contradiction[];
  sights: { eventId: string; at: Millis; sight: Symptom }[];
  /** When its shade was taken off, on a sill. */
  unshadedAt: Millis | null;
  turnedAt: Millis | null;
  airedAt: Millis | null;
  /** When it was last sprayed, by what with. */
  sprayed: Map<string, Millis>;
  water: WaterFact[];
  ticked: Set<string>;
  cuts: Cut[];
  /** Share of the area already cut, 0 to 1; in this growth. */
  cutShare: number;
  /** Which cells or strips of it, where somebody said. */
  cutPieces: Set<number>;
  /** 0 while it grows from its seed; one more for each time that it grows again from its stubs. */
  growth: number;
  /** Since when it grows again; null for from its seed. */
  regrowsSince: Millis | null;
  /** What its first growth was and what was said of it, once it grows again. */
  first: Pick<
    SowingState,
    | 'seen'
    | 'looks'
    | 'dealtAt'
    | 'staysCovered'
    | 'sownAt'
    | 'pressedAt'
    | 'uncoveredAt'
    | 'litAt'
    | 'regrowsSince'
  > | null;
  afterCut: AfterCut[];
  /** What was done to its emptied container. */
  cleaned: Map<Cleaning, { at: Millis; eventId: string }>;
  endedAt: Millis | null;
  lost: LossReason | null;
  log: LogLine[];
}

/**
 * Derives a sowing's state from its events. What was undone counts for nothing; what was done twice
 * counts once; an event for a stage that was passed long ago does not turn back time.
 * @param events in any order; ties in time keep the given order
 */
export function reduceEvents(events: readonly SowingEvent[]): SowingState {
  const undone = new Set(events.flatMap(({ body }) => (body.type === 'undone' ? [body.eventId] : [])));
  const state = newState();
  for (const event of [...events].sort((a, b) => a.at - b.at)) applyEvent(state, event, undone.has(event.id));
  return state;
}

/** Takes up the next event in time. */
export function applyEvent(state: SowingState, event: SowingEvent, undone = false): void {
  if (event.body.type === 'undone') return;
  const known = event.taskKey !== null && state.ticked.has(event.taskKey);
  const repeat = !undone && (known || !apply(state, event));
  if (!undone && event.taskKey !== null) state.ticked.add(event.taskKey);
  state.log.push({ event, undone, repeat });
}

const newSeen = (): CueSeen[] => CUES.map((mark) => ({ mark, notYetAt: null, reachedAt: null }));

/** Of a sowing that nothing has happened to. */
export const newState = (): SowingState => ({
  stage: 'prepare',
  prepared: new Map(),
  putOffTo: null,
  soakedAt: null,
  drainedAt: null,
  sownAt: null,
  pressedAt: null,
  uncoveredAt: null,
  litAt: null,
  staysCovered: [],
  moves: [],
  seen: newSeen(),
  looks: [],
  dealtAt: [],
  contradictions: [],
  sights: [],
  unshadedAt: null,
  turnedAt: null,
  airedAt: null,
  sprayed: new Map(),
  water: [],
  ticked: new Set(),
  cuts: [],
  cutShare: 0,
  cutPieces: new Set(),
  growth: 0,
  regrowsSince: null,
  first: null,
  afterCut: [],
  cleaned: new Map(),
  endedAt: null,
  lost: null,
  log: []
});

/** Applies one event; false where it says nothing new. */
function apply(state: SowingState, { id, at, body }: SowingEvent): boolean {
  switch (body.type) {
    case 'noted':
      return true;
    // What was cut goes its own way, and so does the empty tray: neither waits for the other.
    case 'packed':
    case 'taken':
    case 'thrown':
      state.afterCut.push({ eventId: id, at, body });
      return true;
    case 'cleaned':
      if (state.cleaned.has(body.step)) return false;
      state.cleaned.set(body.step, { at, eventId: id });
      return true;
  }
  if (state.stage === 'ended') return false;
  if (EVENT_TRAITS[body.type].atTray) state.dealtAt.push(at);
  switch (body.type) {
    case 'prepared':
      if (state.prepared.has(body.step)) return false;
      state.prepared.set(body.step, { at, eventId: id });
      return true;
    case 'soaked':
      if (state.soakedAt !== null || state.sownAt !== null) return false;
      state.prepared.set('soak', { at, eventId: id });
      state.soakedAt = at;
      state.stage = 'soak';
      return true;
    case 'drained':
      if (state.drainedAt !== null || state.sownAt !== null) return false;
      state.drainedAt = at;
      state.prepared.set('drain', { at, eventId: id });
      state.stage = 'drain';
      return true;
    case 'sown':
      if (state.sownAt !== null) return false;
      state.sownAt = at;
      state.prepared.set('sow', { at, eventId: id });
      state.stage = 'press';
      state.water.push({ at, addedG: body.waterG });
      return true;
    case 'pressed':
      if (state.pressedAt !== null || state.stage !== 'press') return false;
      state.pressedAt = at;
      return true;
    case 'uncovered':
      if (state.uncoveredAt !== null || state.sownAt === null) return false;
      state.uncoveredAt = at;
      endStay(state, at);
      if (state.litAt === null) state.stage = 'blackout';
      return true;
    case 'lit':
      if (state.litAt !== null || state.sownAt === null) return false;
      state.litAt = at;
      endStay(state, at);
      state.stage = 'light';
      return true;
    case 'stays-covered':
      if (state.sownAt === null || state.litAt !== null) return false;
      state.staysCovered.push({ from: at, until: body.until });
      return true;
    case 'put-off':
      if (state.soakedAt !== null || state.sownAt !== null) return false;
      state.putOffTo = body.until;
      return true;
    case 'misted':
      state.water.push({ at, addedG: body.waterG });
      return true;
    case 'watered':
    case 'fed':
      state.water.push({ at, addedG: body.waterG });
      // Poured through and drained, it holds what it can hold, however much that was.
      if (body.through) state.water.push({ at, between: DRAINED });
      return true;
    case 'sprayed':
      state.sprayed.set(body.name, at);
      state.water.push({ at, addedG: body.waterG, onLeaves: true });
      return true;
    case 'felt':
      state.water.push({ at, feels: MOISTURE[body.moisture] });
      return true;
    case 'lifted':
      state.water.push({ at, between: HEFT[body.heft] });
      return true;
    case 'weighed':
      state.water.push({ at, grossG: body.grossG, full: body.full });
      return true;
    case 'saw':
      state.sights.push({ eventId: id, at, sight: body.sight });
      // Stems that hang for want of water say how dry it is; what tastes ready has opened.
      if (body.sight === 'fallen-dry') state.water.push({ at, between: MOISTURE.dry });
      if (body.sight === 'tastes-ready') look(state, { id, at, cue: 'windowOpen', reached: true });
      return true;
    case 'unshaded':
      if (state.unshadedAt !== null || state.sownAt === null) return false;
      state.unshadedAt = at;
      return true;
    case 'turned':
      state.turnedAt = at;
      return true;
    case 'aired':
      state.airedAt = at;
      return true;
    case 'looked':
      return look(state, { id, at, cue: body.cue, reached: body.reached });
    case 'moved':
      state.moves.push({ from: at, placeId: body.placeId });
      return true;
    case 'cut':
      cut(state, id, at, body);
      return true;
    case 'ended':
      state.lost = body.reason;
      end(state, at);
      return true;
    case 'undone':
      return false;
  }
}

/** A cut: the last one ends it, unless it grows again from its stubs. */
function cut(
  state: SowingState,
  eventId: string,
  at: Millis,
  body: Extract<EventBody, { type: 'cut' }>
): void {
  const { grossG, tareG, share, last, pieces = [], again = false, handling = null } = body;
  state.cuts.push({ eventId, at, netG: grossG - tareG, share, growth: state.growth, handling });
  state.cutShare = Math.min(1, state.cutShare + share);
  for (const piece of pieces) state.cutPieces.add(piece);
  if (!last && state.cutShare < 0.999) return;
  if (!again) return end(state, at);
  if (state.growth === 0) {
    const { seen, looks, dealtAt, staysCovered, sownAt, pressedAt, uncoveredAt, litAt, regrowsSince } = state;
    state.first = {
      seen,
      looks,
      dealtAt,
      staysCovered,
      sownAt,
      pressedAt,
      uncoveredAt,
      litAt,
      regrowsSince
    };
  }
  state.growth += 1;
  state.regrowsSince = at;
  state.cutShare = 0;
  state.cutPieces = new Set();
  state.seen = newSeen();
  state.looks = [];
  state.dealtAt = [];
}

/**
 * A look for a cue. A "not yet" after it was seen contradicts: the later look stands, for a mark that was
 * passed cannot be unpassed, and both are kept for somebody to take one back.
 */
function look(
  state: SowingState,
  { id, at, cue, reached }: { id: string; at: Millis; cue: Cue; reached: boolean }
): boolean {
  const again = state.looks.findLast(({ mark }) => mark === cue);
  // Said twice within the hour is said once.
  if (!again || again.reached !== reached || at - again.at > HOUR)
    state.looks.push({ mark: cue, at, reached, eventId: id });
  const seen = state.seen.find(({ mark }) => mark === cue)!;
  if (reached) {
    if (seen.reachedAt !== null) return false;
    seen.reachedAt = at;
    seen.eventId = id;
    return true;
  }
  if (seen.reachedAt !== null) {
    state.contradictions.push({
      cue,
      reachedEventId: seen.eventId!,
      reachedAt: seen.reachedAt,
      notYetEventId: id,
      notYetAt: at
    });
    seen.reachedAt = null;
  }
  seen.notYetAt = at;
  return true;
}

/** Uncovering it sooner than chosen ends the choice. */
function endStay({ staysCovered }: SowingState, at: Millis): void {
  const last = staysCovered.at(-1);
  if (last && last.until > at) staysCovered[staysCovered.length - 1] = { ...last, until: at };
}

/** Until when the grower chose to keep it covered; -Infinity where nobody did. */
export const coveredUntil = ({ staysCovered }: Pick<SowingState, 'staysCovered'>): Millis =>
  staysCovered.reduce((latest, { until }) => Math.max(latest, until), -Infinity);

function end(state: SowingState, at: Millis): void {
  state.stage = 'ended';
  state.endedAt = at;
}

const SEEN_FOR_D = 3;

/** When one of these was last seen; null where none was. */
export const lastSaw = (state: Pick<SowingState, 'sights'>, sights: readonly Symptom[]): Millis | null =>
  state.sights.findLast(({ sight }) => sights.includes(sight))?.at ?? null;

/** Whether one of these was seen within the last three days. */
export const sawLately = (
  state: Pick<SowingState, 'sights'>,
  sights: readonly Symptom[],
  now: Millis
): boolean => (lastSaw(state, sights) ?? -Infinity) > now - SEEN_FOR_D * DAY;
