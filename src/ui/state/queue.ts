import { openDB, type IDBPDatabase } from 'idb';
import { QUEUE_DB, QUEUE_STORE } from '$contract/copies.ts';

/** Where something stands that is kept in the browser: on its way, or set aside. */
export type Shelf = 'outgoing' | 'aside';

interface Queued<T> {
  key: string;
  shelf: Shelf;
  /** In which order it was touched. */
  order: number;
  id: string;
  what: T;
}

/**
 * What a browser keeps for the server, in IndexedDB: it outlives a closed page and a drained battery. Each thing is written
 * by itself, so that two open pages do not write over each other. Where there is no IndexedDB, as in some private windows,
 * it lasts as long as the page.
 */
export class Queue<T> {
  private readonly opened: Promise<IDBPDatabase | null>;
  /** One after the other, in the order they were asked for. */
  private last: Promise<unknown> = Promise.resolve();
  private order = Date.now();

  /** @param key of one household's */
  constructor(
    private readonly key: string,
    private readonly idOf: (what: T) => string
  ) {
    this.opened =
      typeof indexedDB === 'undefined'
        ? Promise.resolve(null)
        : openDB(QUEUE_DB, 1, {
            upgrade: (db) => void db.createObjectStore(QUEUE_STORE, { keyPath: ['key', 'id'] })
          }).catch(() => null);
  }

  /** What is kept, the oldest first; with what an earlier version kept elsewhere. What another household touched is let go. */
  load(): Promise<Record<Shelf, T[]>> {
    return this.inTurn(async (db) => {
      const held = db ? ((await db.getAll(QUEUE_STORE)) as Queued<T>[]) : [];
      // Another household's: whoever touched it is not here any more, and nobody else is to see or send it.
      for (const { key, id } of held) if (key !== this.key) await db!.delete(QUEUE_STORE, [key, id]);
      const all = held.filter(({ key }) => key === this.key);
      const of = (shelf: Shelf) =>
        all
          .filter((one) => one.shelf === shelf)
          .sort((a, b) => a.order - b.order)
          .map(({ what }) => what);
      return {
        outgoing: [...of('outgoing'), ...before<T>(this.key)],
        aside: [...of('aside'), ...before<T>(`${this.key}.aside`)]
      };
    });
  }

  /** Keeps some, or moves them to another shelf. */
  put(shelf: Shelf, things: readonly T[]): Promise<void> {
    return this.inTurn(async (db) => {
      if (!db || things.length === 0) return;
      const tx = db.transaction(QUEUE_STORE, 'readwrite', { durability: 'strict' });
      for (const what of things) {
        const queued: Queued<T> = {
          key: this.key,
          shelf,
          order: (this.order += 1),
          id: this.idOf(what),
          what
        };
        void tx.store.put(queued);
      }
      await tx.done;
    });
  }

  /** Forgets some: the server has them, or somebody let them go. */
  remove(ids: readonly string[]): Promise<void> {
    return this.inTurn(async (db) => {
      if (!db || ids.length === 0) return;
      const tx = db.transaction(QUEUE_STORE, 'readwrite');
      for (const id of ids) void tx.store.delete([this.key, id]);
      await tx.done;
    });
  }

  private inTurn<R>(work: (db: IDBPDatabase | null) => Promise<R>): Promise<R> {
    const mine = this.last.then(() => this.opened).then(work);
    this.last = mine.catch(() => {});
    return mine;
  }
}

/** What a version before this kept in the browser's smaller store; taken over once. */
function before<T>(key: string): T[] {
  try {
    const stored = JSON.parse(localStorage.getItem(key) ?? '[]') as T[];
    localStorage.removeItem(key);
    return Array.isArray(stored) ? stored : [];
  } catch {
    return [];
  }
}
