import { getContext, setContext } from 'svelte';
import { invalidate } from '$app/navigation';
import { v4 as newId } from 'uuid';
import type { EventBody, SowingEvent } from '$core/events/event.ts';

/** An event on its way to the server. */
interface Outgoing {
  sowingId: string;
  event: SowingEvent;
  sure: boolean;
}

/** How recording went: taken, asked about, refused, or kept for later. */
export type Recorded =
  { kind: 'saved' | 'kept' } | { kind: 'refused'; say: string } | { kind: 'implausible'; times: number };

/** What the last touch did, to be taken back. */
export interface LastDone {
  eventId: string;
  sowingId: string;
  words: string;
}

/**
 * What this person records. A touch shows at once, is kept in the browser until the server has it, and is
 * sent again after a lost connection or a new sign-in: its id is made here, so it stays one event.
 */
export class Journal {
  outgoing = $state<Outgoing[]>([]);
  last = $state<LastDone | null>(null);
  offline = $state(false);
  signedOut = $state(false);
  refused = $state<string | null>(null);

  constructor(
    private readonly key: string,
    private readonly memberId: string,
    private readonly now: () => number
  ) {}

  /** Takes up what an earlier page could not send. */
  resume(): void {
    const kept = localStorage.getItem(this.key);
    if (!kept) return;
    try {
      this.outgoing = JSON.parse(kept) as Outgoing[];
    } catch {
      localStorage.removeItem(this.key);
    }
    void this.flush();
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
    const out = { sowingId, event, sure };
    this.outgoing.push(out);
    this.keep();
    this.refused = null;
    const result = await this.send(out);
    if (result.kind === 'saved' || result.kind === 'kept')
      this.last = words === null ? null : { eventId: event.id, sowingId, words };
    return result;
  }

  /** Takes an event back; the log keeps both. */
  async undo(sowingId: string, eventId: string): Promise<void> {
    if (this.last?.eventId === eventId) this.last = null;
    await this.record(sowingId, { type: 'undone', eventId }, null);
  }

  /** Sends what is waiting, oldest first. */
  async flush(): Promise<void> {
    for (const out of [...this.outgoing]) if ((await this.send(out)).kind === 'kept') break;
  }

  private async send(out: Outgoing): Promise<Recorded> {
    const answer = await post('/api/events', { ...out.event, sowingId: out.sowingId, sure: out.sure });
    this.offline = answer === null || answer.status >= 500;
    if (this.offline) return { kind: 'kept' };
    if (answer!.status === 401) {
      this.signedOut = true;
      return { kind: 'kept' };
    }
    const told = answer!.ok ? null : ((await answer!.json()) as { message: string; code: string });
    if (!told) await invalidate('brote:sowings');
    this.outgoing = this.outgoing.filter(({ event }) => event.id !== out.event.id);
    this.keep();
    if (!told) return { kind: 'saved' };
    if (told.code === 'implausible') return { kind: 'implausible', times: Number(told.message) };
    this.refused = told.message;
    return { kind: 'refused', say: told.message };
  }

  private keep(): void {
    localStorage.setItem(this.key, JSON.stringify(this.outgoing));
  }
}

/** Posts JSON; null where no answer came. */
export async function post(path: string, body: unknown): Promise<Response | null> {
  try {
    return await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body)
    });
  } catch {
    return null;
  }
}

const KEY = Symbol('journal');

export const provideJournal = (journal: Journal): Journal => setContext(KEY, journal);
export const useJournal = (): Journal => getContext<Journal>(KEY);
