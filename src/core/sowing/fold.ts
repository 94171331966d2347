import { CUES, type LossReason, type SowingEvent } from '../events/event.ts';
import type { Millis } from '../time/zone.ts';
import type { BenchStep } from '../protocol/step.ts';
import type { Moisture } from '../water/bucket.ts';
import type { MarkSeen } from '../window/evidence.ts';

export type Stage = 'prepare' | 'soak' | 'drain' | 'press' | 'blackout' | 'light' | 'ended';

export interface Cut {
  eventId: string;
  at: Millis;
  netG: number;
  share: number;
}

/** Water that was given, or how the medium was found, in the order it happened. */
export type WaterFact = { at: Millis; addedG: number } | { at: Millis; moisture: Moisture };

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
  soakedAt: Millis | null;
  drainedAt: Millis | null;
  sownAt: Millis | null;
  uncoveredAt: Millis | null;
  litAt: Millis | null;
  moves: { from: Millis; placeId: string }[];
  seen: MarkSeen[];
  water: WaterFact[];
  ticked: Set<string>;
  cuts: Cut[];
  /** Share of the area already cut, 0 to 1. */
  cutShare: number;
  endedAt: Millis | null;
  lost: LossReason | null;
  log: LogLine[];
}

/**
 * Derives a sowing's state from its events. What was undone counts for nothing; what was done twice
 * counts once; an event for a stage that was passed long ago does not turn back time.
 * @param events in any order; ties in time keep the given order
 */
export function foldEvents(events: readonly SowingEvent[]): SowingState {
  const undone = new Set(events.flatMap(({ body }) => (body.type === 'undone' ? [body.eventId] : [])));
  const state: SowingState = {
    stage: 'prepare',
    prepared: new Map(),
    soakedAt: null,
    drainedAt: null,
    sownAt: null,
    uncoveredAt: null,
    litAt: null,
    moves: [],
    seen: CUES.map((mark) => ({ mark, notYetAt: null, reachedAt: null })),
    water: [],
    ticked: new Set(),
    cuts: [],
    cutShare: 0,
    endedAt: null,
    lost: null,
    log: []
  };
  for (const event of [...events].sort((a, b) => a.at - b.at)) {
    if (event.body.type === 'undone') continue;
    const taken = undone.has(event.id);
    const known = event.taskKey !== null && state.ticked.has(event.taskKey);
    const repeat = !taken && (known || !apply(state, event));
    if (!taken && event.taskKey !== null) state.ticked.add(event.taskKey);
    state.log.push({ event, undone: taken, repeat });
  }
  return state;
}

/** Applies one event; false where it says nothing new. */
function apply(state: SowingState, { id, at, body }: SowingEvent): boolean {
  if (body.type === 'noted') return true;
  if (state.stage === 'ended') return false;
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
    case 'uncovered':
      if (state.uncoveredAt !== null || state.sownAt === null) return false;
      state.uncoveredAt = at;
      if (state.litAt === null) state.stage = 'blackout';
      return true;
    case 'lit':
      if (state.litAt !== null || state.sownAt === null) return false;
      state.litAt = at;
      state.stage = 'light';
      return true;
    case 'misted':
    case 'watered':
      state.water.push({ at, addedG: body.waterG });
      return true;
    case 'felt':
      state.water.push({ at, moisture: body.moisture });
      return true;
    case 'looked': {
      const seen = state.seen.find(({ mark }) => mark === body.cue)!;
      if (seen.reachedAt !== null) return false;
      if (body.reached) seen.reachedAt = at;
      else seen.notYetAt = at;
      return true;
    }
    case 'moved':
      state.moves.push({ from: at, placeId: body.placeId });
      return true;
    case 'cut':
      state.cuts.push({ eventId: id, at, netG: body.grossG - body.tareG, share: body.share });
      state.cutShare = Math.min(1, state.cutShare + body.share);
      if (body.last || state.cutShare >= 0.999) end(state, at);
      return true;
    case 'ended':
      state.lost = body.reason;
      end(state, at);
      return true;
    case 'undone':
      return false;
  }
}

function end(state: SowingState, at: Millis): void {
  state.stage = 'ended';
  state.endedAt = at;
}
