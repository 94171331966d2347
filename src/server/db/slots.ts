import postgres from 'postgres';
import { statementsOver, type ConnectionWork, type Tx } from './statement.ts';
import { afterListening } from './patience.ts';
import { Unavailable } from './unavailable.ts';

/** All limits are so many times longer on a machine that is slow by far. */
const PATIENCE = Number(process.env.BROTE_PATIENCE) || 1;

/** How long anything may take; past it the person is told to try again, and others are let on. */
export const LIMITS = {
  /** For a connection: all of them may be in use. */
  waitMs: 4000 * PATIENCE,
  /** For a connection to come about; whoever wants one waits for it no longer than `waitMs`. */
  connectMs: 15_000 * PATIENCE,
  /** For one statement, which PostgreSQL ends itself. */
  statementMs: 8000 * PATIENCE,
  /** For a lock that another request holds. */
  lockMs: 5000 * PATIENCE,
  /** For a whole transaction. */
  transactionMs: 15_000 * PATIENCE
};

/**
 * Connections at most, by what they are for; few, as a household's server is small and a PostgreSQL may be shared. Imports
 * and exports have their own, so that none of them keeps a page waiting.
 */
export const LANES = { pages: 10, long: 2 };
export type ConnectionLane = keyof typeof LANES;

/**
 * One connection, which is used until it closes and never after. Postgres.js (3.4.9) can keep a pool of its own, but
 * where one of its connections is lost it goes on writing to the socket that is gone, which ends the process; or
 * over a connection that is another request's by then; and it sends what it had not written ahead of the greeting of
 * the next one, which then never comes about. So each connection here is a pool of one, let go with its first loss.
 */
export class Slot {
  /** Set at once when the connection closes, before anything that waited on it goes on. */
  closed = false;
  private stretch: ConnectionWork | null = null;

  private constructor(
    private readonly pool: postgres.Sql,
    private connection: postgres.Sql | null
  ) {}

  /** @throws Error where there is nobody to connect to */
  static async open(url: string): Promise<Slot> {
    // Named before it is there: the driver tells of the closing, and this is whom it tells.
    const told: { slot: Slot | null; closed: boolean; lost: () => void } = {
      slot: null,
      closed: false,
      lost: () => {}
    };
    // The driver does not answer where the connection goes just as it learns the database's types.
    const lost = new Promise<never>((_resolve, reject) => {
      told.lost = () => reject(new Unavailable('the connection closed as it opened'));
    });
    lost.catch(() => {});
    const pool = postgres(url, {
      max: 1,
      max_lifetime: null,
      connect_timeout: LIMITS.connectMs / 1000,
      onnotice: () => {},
      onclose: () => {
        told.closed = true;
        told.lost();
        told.slot?.close();
      },
      connection: {
        application_name: 'brote',
        statement_timeout: LIMITS.statementMs,
        lock_timeout: LIMITS.lockMs,
        idle_in_transaction_session_timeout: LIMITS.transactionMs
      }
    });
    const slot = new Slot(pool, null);
    told.slot = slot;
    try {
      slot.connection = await Promise.race([pool.reserve(), lost]);
      if (told.closed) throw new Unavailable('the connection closed as it opened');
      return slot;
    } catch (error) {
      slot.close();
      throw error;
    }
  }

  /** What queries of one stretch of work are written with. */
  begin(stretch: ConnectionWork): Tx {
    this.stretch = stretch;
    if (this.closed || !this.connection) stretch.over ??= new Unavailable('the connection was lost');
    return statementsOver(this.connection ?? this.pool, stretch);
  }

  /** Lets the connection go for good: whatever still runs on it is not answered any more. */
  close(): void {
    if (this.stretch) this.stretch.over ??= new Unavailable('the connection was lost');
    if (this.closed) return;
    this.closed = true;
    this.pool.end({ timeout: 0 }).catch(() => {});
  }
}

interface Waiter {
  give(slot: Slot): void;
  refuse(error: Error): void;
}

/** The connections to one database, handed out one at a time; those who find none wait in line. */
export class Slots {
  private readonly idle: Slot[] = [];
  private readonly all = new Set<Slot>();
  private readonly line: Waiter[] = [];
  private opening = 0;

  constructor(
    readonly url: string,
    private readonly most: number
  ) {}

  /** A connection for one stretch of work. @throws Unavailable where none is free in time, or none can be had */
  take(): Promise<Slot> {
    for (let slot = this.idle.pop(); slot; slot = this.idle.pop()) {
      if (!slot.closed) return Promise.resolve(slot);
      this.all.delete(slot);
    }
    return new Promise<Slot>((resolve, reject) => {
      const waiter: Waiter = {
        give: (slot) => (enough(), resolve(slot)),
        refuse: (error) => (enough(), reject(error))
      };
      const enough = afterListening(LIMITS.waitMs, () => {
        this.line.splice(this.line.indexOf(waiter), 1);
        reject(new Unavailable('all connections are in use'));
      });
      this.line.push(waiter);
      this.open();
    });
  }

  /** Takes a connection back, for whoever waits. One that closed is replaced where it is wanted. */
  giveBack(slot: Slot): void {
    if (slot.closed) {
      this.all.delete(slot);
      this.open();
      return;
    }
    const next = this.line.shift();
    if (next) next.give(slot);
    else this.idle.push(slot);
  }

  /** Lets all of them go; whoever waits is told. */
  end(): void {
    for (const slot of this.all) slot.close();
    this.all.clear();
    this.idle.length = 0;
    for (const waiter of this.line.splice(0)) waiter.refuse(new Unavailable('the server is stopping'));
  }

  /** Opens a connection for somebody in line, where there may be one more. */
  private open(): void {
    for (const slot of this.all) if (slot.closed) this.all.delete(slot);
    if (this.line.length <= this.opening || this.all.size + this.opening >= this.most) return;
    this.opening += 1;
    Slot.open(this.url).then(
      (slot) => {
        this.opening -= 1;
        this.all.add(slot);
        this.giveBack(slot);
        this.open();
      },
      (error: unknown) => {
        this.opening -= 1;
        // Nobody else will have more luck just now: all who wait are told, rather than one after the other.
        for (const waiter of this.line.splice(0)) waiter.refuse(error as Error);
      }
    );
  }
}
