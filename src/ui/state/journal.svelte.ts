import { getContext, setContext } from 'svelte';
import { invalidate } from '$app/navigation';
import { v4 as newId } from 'uuid';
import { post } from './ask.ts';
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

/** How recording went: taken, asked about, refused, kept for later, or set aside. */
export type Recorded =
  | { kind: 'saved' | 'kept' | 'aside' }
  | { kind: 'refused'; say: string }
  | { kind: 'implausible'; times: number };

/** What the last touch did, to be taken back. */
export interface LastDone {
  eventId: string;
  sowingId: string;
  words: string;
}

/** Why what was touched is not with the server yet. */
export type Waiting = 'offline' | 'away' | null;

/** Answers that say to try again: the database is away, a proxy found nobody, or too much was asked at once. */
const PASSING = new Set([408, 425, 429, 502, 503, 504]);

/**
 * What this person records. A touch shows at once, is kept in the browser until the server has it, and is
 * sent again after a lost connection or a new sign-in: its id is made here, so it stays one event. What the
 * server refuses or cannot take is set aside, so that it holds up nothing behind it.
 */
export class Journal {
  outgoing = $state<Outgoing[]>([]);
  aside = $state<SetAside[]>([]);
  last = $state<LastDone | null>(null);
  waiting = $state<Waiting>(null);
  signedOut = $state(false);
  refused = $state<string | null>(null);

  constructor(
    private readonly key: string,
    private readonly memberId: string,
    private readonly now: () => number
  ) {}

  /** Takes up what an earlier page could not send. */
  resume(): void {
    this.aside = this.kept<SetAside>(`${this.key}.aside`);
    this.outgoing = this.kept<Outgoing>(this.key);
    if (this.outgoing.length > 0) void this.flush();
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
  async record(
    sowingId: string,
    body: EventBody,
    words: string | null,
    taskKey: string | null = null,
    sure = false,
    at = this.now()
  ): Promise<Recorded> {
    const event: SowingEvent = { id: newId(), at: Math.round(at), by: this.memberId, taskKey, body };
    const out = { sowingId, event, sure, words };
    this.outgoing.push(out);
    this.keep();
    this.refused = null;
    const result = await this.send(out, true);
    if (result.kind === 'saved' || result.kind === 'kept')
      this.last = words === null ? null : { eventId: event.id, sowingId, words };
    return result;
  }

  /** Takes an event back; the log keeps both. One that was set aside is simply dropped. */
  async undo(sowingId: string, eventId: string): Promise<void> {
    if (this.last?.eventId === eventId) this.last = null;
    if (this.takeAside(eventId)) return;
    await this.record(sowingId, { type: 'undone', eventId }, null);
  }

  /** Sends what is waiting, oldest first. What is refused is set aside, and the others go on. */
  async flush(): Promise<void> {
    for (const out of [...this.outgoing]) if ((await this.send(out, false)).kind === 'kept') break;
  }

  /** Sends something that was set aside once more, as it was. */
  async again(eventId: string): Promise<void> {
    const out = this.takeAside(eventId);
    if (!out) return;
    this.outgoing.push({ sowingId: out.sowingId, event: out.event, sure: out.sure, words: out.words });
    this.keep();
    await this.flush();
  }

  /** Keeps what was set aside as a note of its tray, in words. */
  async asNote(eventId: string): Promise<void> {
    const out = this.takeAside(eventId);
    if (!out) return;
    const at = Math.max(out.event.at, this.now() - MOST_NOTE_AGE_MS);
    await this.record(out.sowingId, { type: 'noted', text: wordsOf(out) }, null, null, false, at);
  }

  /** Lets what was set aside go. */
  drop(eventId: string): void {
    this.takeAside(eventId);
  }

  private takeAside(eventId: string): SetAside | undefined {
    const out = this.aside.find(({ event }) => event.id === eventId);
    this.aside = this.aside.filter(({ event }) => event.id !== eventId);
    this.keep();
    return out;
  }

  /** @param watched whether somebody waits for the answer, and still sees what they typed */
  private async send(out: Outgoing, watched: boolean): Promise<Recorded> {
    const answer = await post('/api/events', { ...out.event, sowingId: out.sowingId, sure: out.sure });
    this.waiting = answer === null ? 'offline' : PASSING.has(answer.status) ? 'away' : null;
    if (this.waiting) return { kind: 'kept' };
    if (answer!.status === 401) {
      this.signedOut = true;
      return { kind: 'kept' };
    }
    const told = answer!.ok ? null : await toldBy(answer!);
    if (!told) await invalidate('brote:sowings');
    this.outgoing = this.outgoing.filter(({ event }) => event.id !== out.event.id);
    if (told && (!watched || answer!.status >= 500)) {
      this.aside.push({ ...out, say: told.code === 'implausible' ? UNSURE : told.message });
      this.keep();
      return { kind: 'aside' };
    }
    this.keep();
    if (!told) return { kind: 'saved' };
    if (told.code === 'implausible') return { kind: 'implausible', times: Number(told.message) };
    this.refused = told.message;
    return { kind: 'refused', say: told.message };
  }

  private kept<T extends Outgoing>(key: string): T[] {
    try {
      const kept = JSON.parse(localStorage.getItem(key) ?? '[]') as T[];
      return kept.filter((one) => typeof one?.event?.id === 'string' && typeof one.sowingId === 'string');
    } catch {
      localStorage.removeItem(key);
      return [];
    }
  }

  private keep(): void {
    localStorage.setItem(this.key, JSON.stringify(this.outgoing));
    localStorage.setItem(`${this.key}.aside`, JSON.stringify(this.aside));
  }
}

/** A note may be so old; an older one is dated so. */
const MOST_NOTE_AGE_MS = 29 * 24 * 3_600_000;
const UNSURE = 'This weight is far from what such a tray gives. Weigh it again on its own page.';

/** What an event was, in words: what was typed, or what was touched. */
export const wordsOf = ({ event, words }: Outgoing): string =>
  event.body.type === 'noted' ? event.body.text : (words ?? `Touched: ${event.body.type}`);

async function toldBy(answer: Response): Promise<{ message: string; code: string }> {
  try {
    const { message, code } = (await answer.json()) as { message?: string; code?: string };
    return { message: message ?? NOT_TAKEN, code: code ?? '' };
  } catch {
    return { message: NOT_TAKEN, code: '' };
  }
}

const NOT_TAKEN = 'Brote could not take this; something went wrong there.';

const KEY = Symbol('journal');

export const provideJournal = (journal: Journal): Journal => setContext(KEY, journal);
export const useJournal = (): Journal => getContext<Journal>(KEY);
