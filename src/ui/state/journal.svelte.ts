import { t } from '$messages/t.ts';
import { DAY } from '$core/time/zone.ts';
import { getContext, setContext } from 'svelte';
import { v4 as newId } from 'uuid';
import { post } from './ask.ts';
import { Patches } from './patches.svelte.ts';
import { Queue } from './queue.ts';
import type { ApiProblem, Recorded, RecordedBatch } from '$contract/api.ts';
import type { EventBody, SowingEvent } from '$core/sowing/event.ts';

/** An event on its way to the server. */
export interface Outgoing {
  sowingId: string;
  event: SowingEvent;
  sure: boolean;
  /** What it did, in words; null for what is undone, or of a page before this was kept. */
  words?: string | null;
}

/** Something the server refused or could not take: kept until somebody says what shall become of it. */
export interface SetAside extends Outgoing {
  say: string;
}

/** What happened to a sowing, to be recorded. */
export interface Happened {
  sowingId: string;
  body: EventBody;
  taskKey?: string | null;
  /** When, where not all happened at once. */
  at?: number;
  /** Its id, where another event of the same touch names it. */
  id?: string;
}

/** How recording went: taken, asked about, refused, kept for later, or set aside. */
export type Recording =
  { kind: 'saved' | 'queued' | 'aside' | 'implausible' } | { kind: 'refused'; say: string };

/** What the last touch did, to be taken back. */
export interface LastDone {
  events: { sowingId: string; eventId: string }[];
  words: string;
}

/** Why what was touched is not with the server yet. */
export type Waiting = 'offline' | 'away' | null;

/** Answers that say to try again: the database is away, a proxy found nobody, or too much was asked at once. */
const PASSING = new Set([408, 425, 429, 502, 503, 504]);
/** What waited is sent in parts of so many: a day's touches in one. */
const BATCH = 400;

/**
 * What this person records. A touch shows at once, is kept in the browser until the server has it, and is
 * sent again after a lost connection or a new sign-in: its id is made here, so it stays one event. One request carries
 * it, and its answer what changed. What the server refuses or cannot take is set aside, so that it holds up nothing
 * behind it.
 */
export class Journal {
  outgoing = $state<Outgoing[]>([]);
  aside = $state<SetAside[]>([]);
  last = $state<LastDone | null>(null);
  /** A sowing that was planned just now: what is next, and its page. */
  planned = $state<{ words: string; href: string } | null>(null);
  waiting = $state<Waiting>(null);
  signedOut = $state(false);
  refused = $state<string | null>(null);
  /** The time the last touch was recorded under, where the server's clock differs from this page's. */
  correctedTo = $state<number | null>(null);
  readonly patches = new Patches();
  private readonly queue: Queue<Outgoing>;

  constructor(
    key: string,
    private readonly memberId: string,
    private readonly now: () => number
  ) {
    this.queue = new Queue(key, ({ event }) => event.id);
  }

  /** Takes up what an earlier page could not send, and says whether there was something that is with the server now. */
  async resume(): Promise<boolean> {
    const queued = await this.queue.load();
    const isWhole = (one: Outgoing) => typeof one?.event?.id === 'string' && typeof one.sowingId === 'string';
    const isNew = (one: Outgoing) =>
      [...this.outgoing, ...this.aside].every(({ event }) => event.id !== one.event.id);
    this.aside = [...queued.aside.filter((one) => isWhole(one) && isNew(one)).map(toldOf), ...this.aside];
    this.outgoing = [...queued.outgoing.filter((one) => isWhole(one) && isNew(one)), ...this.outgoing];
    if (this.outgoing.length === 0) return false;
    await this.flush();
    return this.outgoing.length === 0;
  }

  /** The events of a sowing with those that are still on their way. */
  with(sowingId: string, events: readonly SowingEvent[]): readonly SowingEvent[] {
    const own = this.outgoing.filter(
      (out) => out.sowingId === sowingId && events.every(({ id }) => id !== out.event.id)
    );
    return own.length === 0 ? events : [...events, ...own.map(({ event }) => event)];
  }

  /**
   * Records an event.
   * @param words what it did, for the undo line; none for what cannot be undone
   * @param at when it happened, where that was not now
   */
  record(
    sowingId: string,
    body: EventBody,
    words: string | null,
    {
      taskKey = null,
      sure = false,
      at = this.now()
    }: { taskKey?: string | null; sure?: boolean; at?: number } = {}
  ): Promise<Recording> {
    return this.recordAll([{ sowingId, body, taskKey }], words, { sure, at });
  }

  /** Records what one touch did to several sowings, such as the two halves of a container: sent, and undone, as one. */
  async recordAll(
    happened: readonly Happened[],
    words: string | null,
    { sure = false, at = this.now() }: { sure?: boolean; at?: number } = {}
  ): Promise<Recording> {
    const outs = happened.map(({ sowingId, body, taskKey = null, at: then = at, id = newId() }): Outgoing => {
      const event = { id, at: Math.round(then), by: this.memberId, taskKey, body };
      return { sowingId, event, sure, words };
    });
    this.outgoing.push(...outs);
    this.refused = null;
    this.planned = null;
    this.correctedTo = null;
    // Kept while it is sent: whichever ends first, it is not lost.
    void this.queue.put('outgoing', snapshot(outs));
    const outcome = await this.send(outs, true);
    if (outcome.kind === 'saved' || outcome.kind === 'queued')
      this.last =
        words === null
          ? null
          : { events: outs.map(({ sowingId, event }) => ({ sowingId, eventId: event.id })), words };
    return outcome;
  }

  /** Takes an event back; the log keeps both. One that was set aside is simply dropped. */
  async undo(sowingId: string, eventId: string): Promise<void> {
    await this.undoAll([{ sowingId, eventId }]);
  }

  /** Takes back what one touch did. */
  async undoAll(events: LastDone['events']): Promise<void> {
    const isOne = (id: string) => events.some(({ eventId }) => eventId === id);
    if (this.last?.events.some(({ eventId }) => isOne(eventId))) this.last = null;
    const there = events.filter(({ eventId }) => !this.takeAside(eventId));
    if (there.length === 0) return;
    await this.recordAll(
      there.map(({ sowingId, eventId }) => ({ sowingId, body: { type: 'undone', eventId } })),
      null
    );
  }

  /** Sends what is waiting, oldest first. What is refused is set aside, and the others go on. */
  async flush(): Promise<void> {
    const all = [...this.outgoing];
    for (let from = 0; from < all.length; from += BATCH)
      if ((await this.send(all.slice(from, from + BATCH), false)).kind === 'queued') break;
  }

  /** Sends something that was set aside once more, as it was. */
  async again(eventId: string): Promise<void> {
    const out = this.takeAside(eventId);
    if (!out) return;
    const { sowingId, event, sure, words } = out;
    this.outgoing.push({ sowingId, event, sure, words });
    void this.queue.put('outgoing', snapshot([{ sowingId, event, sure, words }]));
    await this.flush();
  }

  /** Keeps what was set aside as a note of its tray, in words. */
  async asNote(eventId: string): Promise<void> {
    const out = this.takeAside(eventId);
    if (!out) return;
    const at = Math.max(out.event.at, this.now() - MOST_NOTE_AGE_MS);
    await this.record(out.sowingId, { type: 'noted', text: outgoingWords(out) }, null, { at });
  }

  /** Lets what was set aside go. */
  drop(eventId: string): void {
    this.takeAside(eventId);
  }

  private takeAside(eventId: string): SetAside | undefined {
    const out = this.aside.find(({ event }) => event.id === eventId);
    this.aside = this.aside.filter(({ event }) => event.id !== eventId);
    if (out) void this.queue.remove([eventId]);
    return out;
  }

  /** @param watched whether somebody waits for the answer, and still sees what they typed */
  private async send(outs: readonly Outgoing[], watched: boolean): Promise<Recording> {
    const events = outs.map(({ event, sowingId, sure }) => ({ ...event, sowingId, sure }));
    const answer = await post('/api/events', { events });
    this.waiting = answer === null ? 'offline' : PASSING.has(answer.status) ? 'away' : null;
    if (this.waiting) return { kind: 'queued' };
    if (answer!.status === 401) {
      this.signedOut = true;
      return { kind: 'queued' };
    }
    const { results, patch, problem } = await toldBy(answer!);
    // The batch was not taken as one: what is wrong with one of it is not to hold up the others.
    if (!results && outs.length > 1) return this.sendEach(outs, watched);
    if (patch) this.patches.take(patch);
    let first: ApiProblem | null = null;
    const aside: SetAside[] = [];
    const wasSent = (id: string) => outs.some(({ event }) => event.id === id);
    this.outgoing = this.outgoing.filter(({ event }) => !wasSent(event.id));
    for (const out of outs) {
      const result = results?.find(({ id }) => id === out.event.id);
      if (result?.ok) {
        this.correctedTo = result.correctedTo ?? this.correctedTo;
        continue;
      }
      const told: ApiProblem = result ?? problem ?? { code: 'wrong', message: NOT_TAKEN() };
      first ??= told;
      if (!watched || answer!.status >= 500) aside.push({ ...out, say: told.message });
    }
    this.aside.push(...aside);
    const isAside = (id: string) => aside.some(({ event }) => event.id === id);
    void this.queue.put('aside', snapshot(aside));
    void this.queue.remove(outs.map(({ event }) => event.id).filter((id) => !isAside(id)));
    if (!first) return { kind: 'saved' };
    if (!watched || answer!.status >= 500) return { kind: 'aside' };
    if (first.code === 'implausible') return { kind: 'implausible' };
    this.refused = first.message;
    return { kind: 'refused', say: first.message };
  }

  private async sendEach(outs: readonly Outgoing[], watched: boolean): Promise<Recording> {
    let last: Recording = { kind: 'saved' };
    for (const out of outs) {
      const outcome = await this.send([out], watched);
      if (outcome.kind === 'queued') return outcome;
      if (outcome.kind !== 'saved') last = outcome;
    }
    return last;
  }
}

/** As it is written down: what the page watches cannot be. */
const snapshot = <T>(things: readonly T[]): T[] => JSON.parse(JSON.stringify(things)) as T[];

/** What was set aside says why, whatever version kept it. */
const toldOf = (one: Outgoing): SetAside => ({ say: NOT_TAKEN(), ...one });

/** A note may be so old; an older one is dated so. */
const MOST_NOTE_AGE_MS = 29 * DAY;

/** What an event was, in words: what was typed, or what was touched. */
export const outgoingWords = ({ event, words }: Outgoing): string =>
  event.body.type === 'noted' ? event.body.text : (words ?? t('app.touchedType', { type: event.body.type }));

interface Told extends Partial<RecordedBatch> {
  /** What is wrong with all of it. */
  problem?: ApiProblem;
}

async function toldBy(answer: Response): Promise<Told> {
  try {
    const said = (await answer.json()) as Partial<RecordedBatch> & Partial<ApiProblem>;
    const results: Recorded[] | undefined = Array.isArray(said.results) ? said.results : undefined;
    if (results && said.patch) return { results, patch: said.patch };
    return { problem: { code: said.code ?? 'wrong', message: said.message ?? NOT_TAKEN() } };
  } catch {
    return {};
  }
}

const NOT_TAKEN = () => t('app.broteCouldNotTakeSomething');

const KEY = Symbol('journal');

export const provideJournal = (journal: Journal): Journal => setContext(KEY, journal);
export const useJournal = (): Journal => getContext<Journal>(KEY);
