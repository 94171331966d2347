import type postgres from 'postgres';
import { isLost, Unavailable } from './unavailable.ts';

/** What a query over one connection, or over the pool, is written with. */
export type Guarded = postgres.TransactionSql;

/** One stretch of work on a connection: what is under way, what failed, and whether anything may follow. */
export class ConnectionWork {
  /** Set once nothing more may be sent: the connection is lost, or the time is up. */
  over: Unavailable | null = null;
  /** The first error of any of its queries, whoever caught it. */
  failed: unknown = null;
  private readonly running = new Set<Promise<unknown>>();

  note(query: Promise<unknown>): void {
    const settled = query.then(
      () => {},
      (error: unknown) => {
        this.failed ??= error;
        if (isLost(error)) this.over ??= new Unavailable('the connection was lost', { cause: error });
      }
    );
    this.running.add(settled);
    settled.then(() => this.running.delete(settled)).catch(() => {});
  }

  /** Resolves when nothing is under way any more. */
  async quiet(): Promise<void> {
    while (this.running.size > 0) await Promise.all(this.running);
  }
}

/** A query before it is sent; of the driver's own, which sends it at the first `then`. */
interface Pending extends Promise<unknown> {
  handler: (query: Pending) => unknown;
  reject: (error: unknown) => void;
}

/**
 * Puts a guard before the driver's query function.
 *
 * - A parameter that PostgreSQL cannot be given is refused here. Postgres.js (3.4.9) finds it only while it lays a
 *   query behind another on the same connection; it then rejects the wrong one of the two, and the connection
 *   answers nothing any more.
 * - Once a connection is lost nothing is sent over it. The driver would write to a socket that is gone, which ends
 *   the process, or over a connection that is somebody else's by then.
 */
export function guarded(sql: postgres.Sql, stretch: ConnectionWork): Guarded {
  const tag = (first: unknown, ...rest: unknown[]): unknown => {
    if (!Array.isArray(first) || !('raw' in first)) {
      rest.forEach((one) => refuseUnsendable(one));
      refuseUnsendable(first);
      return (sql as unknown as (...args: unknown[]) => unknown)(first, ...rest);
    }
    rest.forEach((one) => refuseUnsendable(one));
    return watched((sql as unknown as (...args: unknown[]) => Pending)(first, ...rest), stretch);
  };
  return Object.assign(tag, {
    json: (value: unknown) => {
      refuseUnsendable(value);
      return sql.json(value as never);
    },
    unsafe: (text: string) => watched(sql.unsafe(text) as unknown as Pending, stretch)
  }) as unknown as Guarded;
}

function watched(query: Pending, stretch: ConnectionWork): Pending {
  const send = query.handler;
  query.handler = (sent) => {
    if (stretch.over) return sent.reject(stretch.over);
    stretch.note(sent);
    return send(sent);
  };
  return query;
}

/**
 * Refuses what no column can hold: `undefined`, no date, a number that is none.
 * @throws TypeError a mistake of ours, told as it is
 */
function refuseUnsendable(value: unknown, depth = 0): void {
  if (value === undefined) throw new TypeError('A query was given undefined as a parameter.');
  if (value instanceof Date) {
    if (Number.isNaN(value.getTime())) throw new TypeError('A query was given a date that is none.');
  } else if (typeof value === 'number') {
    if (!Number.isFinite(value)) throw new TypeError(`A query was given ${value} as a parameter.`);
  } else if (Array.isArray(value)) {
    if (depth < 3) value.forEach((one) => refuseUnsendable(one, depth + 1));
  } else if (value !== null && typeof value === 'object' && isPlain(value) && depth < 3) {
    Object.values(value).forEach((one) => refuseUnsendable(one, depth + 1));
  }
}

const isPlain = (value: object): boolean => Object.getPrototypeOf(value) === Object.prototype;
