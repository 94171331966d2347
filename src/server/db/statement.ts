import type postgres from 'postgres';
import { isLost, Unavailable } from './unavailable.ts';

/** One stretch of work on a connection: what is under way, what failed, and whether anything may follow. */
export class ConnectionWork {
  /** Set once nothing more may be sent: the connection is lost, or the time is up. */
  over: Unavailable | null = null;
  /** The first error of any query, even if it was caught. */
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

/** A part of another statement. */
export type Fragment = Statement<unknown>;

/** A value in a statement: a parameter, a helper of the driver, or another statement as a part of this one. */
type StatementValue = postgres.SerializableParameter | Fragment | readonly Fragment[];

/**
 * SQL that is sent once somebody waits for it, and not at all where it is only a part of another statement.
 *
 * It stands before the driver's own query, which is made as it is sent: over a connection that was lost, nothing is. The driver
 * would write to a socket that is gone, which ends the process, or over a connection that is somebody else's by then.
 */
export class Statement<Rows> implements Promise<Rows> {
  readonly [Symbol.toStringTag] = 'Statement';
  private answer: Promise<Rows> | null = null;

  /** @param query makes the driver's query; called once for a statement that is sent, and once for each that it is a part of */
  constructor(
    readonly query: () => PromiseLike<unknown>,
    private readonly work: ConnectionWork
  ) {}

  private sent(): Promise<Rows> {
    if (this.work.over) return Promise.reject(this.work.over);
    const answer = Promise.resolve(this.query()) as Promise<Rows>;
    this.work.note(answer);
    return answer;
  }

  then<A = Rows, B = never>(
    onfulfilled?: ((rows: Rows) => A | PromiseLike<A>) | null,
    onrejected?: ((reason: unknown) => B | PromiseLike<B>) | null
  ): Promise<A | B> {
    return (this.answer ??= this.sent()).then(onfulfilled, onrejected);
  }

  catch<B = never>(onrejected?: ((reason: unknown) => B | PromiseLike<B>) | null): Promise<Rows | B> {
    return this.then(null, onrejected);
  }

  finally(onfinally?: (() => void) | null): Promise<Rows> {
    return (this.answer ??= this.sent()).finally(onfinally);
  }
}

/** What the queries of one household's transaction, or outside of any household, are written with. */
export interface Tx {
  /** A statement. */
  <Rows extends readonly (object | undefined)[] = postgres.Row[]>(
    text: TemplateStringsArray,
    ...values: readonly StatementValue[]
  ): Statement<postgres.RowList<Rows>>;
  /** Helpers of the driver: a name, rows to insert or columns to set, a list of values. */
  (name: string): postgres.Helper<string, []>;
  <Row extends object>(rows: Row | readonly Row[]): postgres.Helper<Row, []>;
  (values: readonly (string | number)[]): postgres.Helper<unknown, []>;
  /** A JSON parameter. */
  json(value: postgres.JSONValue): postgres.Parameter;
  /** One message of SQL that has no parameters. */
  unsafe(text: string): Statement<postgres.Row[]>;
}

/**
 * The facade over the driver's query function. A parameter that PostgreSQL cannot be given is refused before the driver sees it:
 * Postgres.js (3.4.9) finds it only while it lays a query behind another on the same connection; it then rejects the wrong one of
 * the two, and the connection answers nothing any more.
 */
export function statementsOver(sql: postgres.Sql, work: ConnectionWork): Tx {
  const driver = sql as unknown as (...args: unknown[]) => PromiseLike<unknown>;
  const write = (first: unknown, ...rest: unknown[]): unknown => {
    rest.forEach((one) => refuseUnsendable(one));
    if (Array.isArray(first) && 'raw' in first)
      return new Statement(() => driver(first, ...rest.map(partOf)), work);
    refuseUnsendable(first);
    return driver(first, ...rest);
  };
  return Object.assign(write, {
    json: (value: unknown) => {
      refuseUnsendable(value);
      return sql.json(value as never);
    },
    unsafe: (text: string) => new Statement(() => sql.unsafe(text), work)
  }) as Tx;
}

/** A statement within another one as the driver writes it; anything else as it is. */
const partOf = (value: unknown): unknown =>
  value instanceof Statement ? value.query() : Array.isArray(value) ? value.map(partOf) : value;

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
