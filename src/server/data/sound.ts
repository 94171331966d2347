import { hash } from 'node:crypto';
import type { Tx } from '../db/connection.ts';
import { faultOf } from './faultOf.ts';
import type { TableRow } from './rows.ts';

/** A stored record that could not be read, as it is told to people. */
export interface Unreadable {
  table: string;
  /** Its id or key. */
  id: string;
  name: string | null;
  /** What is wrong with it. */
  fault: string;
}

const found = new WeakMap<object, Unreadable[]>();

/** Gathers what cannot be read of the rows that a transaction reads from here on. */
export function gatherUnreadable(tx: Tx, into: Unreadable[]): void {
  found.set(tx, into);
}

/** What was found wrong with records, by a digest of their table and content. */
const verdicts = new Map<string, string | null>();
const MOST_VERDICTS = 10_000;

/**
 * What is wrong with a record; null for nothing. The same content is judged once, whichever record or query it comes from.
 * @param content all that `judge` looks at
 */
export function verdictOn(table: string, content: string, judge: () => string | null): string | null {
  const digest = hash('sha256', `${table} ${content}`, 'base64');
  const known = verdicts.get(digest);
  if (known !== undefined) return known;
  const fault = judge();
  if (verdicts.size >= MOST_VERDICTS) verdicts.clear();
  verdicts.set(digest, fault);
  return fault;
}

const idOf = (row: TableRow): string => String(row.id ?? row.key ?? row.crop_key ?? '');

/**
 * The rows of a table that can be read. The others are noted for the page to name, and left out, or replaced where the rest
 * of the page hangs on them.
 * @param instead what stands in for a row that cannot be read; left out where not given
 * @param judged what of a row its verdict depends on: the smaller, the faster
 */
export function soundRows<R extends object>(
  tx: Tx,
  table: string,
  rows: readonly R[],
  instead?: (row: R) => R,
  judged: (row: R) => object = (row) => row
): R[] {
  return rows.flatMap((row): R[] => {
    const fault = verdictOn(table, JSON.stringify(judged(row)), () => faultOf(table, row as TableRow, null));
    if (fault === null) return [row];
    note(tx, table, row as TableRow, fault);
    return instead ? [instead(row)] : [];
  });
}

/** Notes a record that cannot be read, once. */
export function note(tx: Tx, table: string, row: TableRow, fault: string): void {
  const id = idOf(row);
  const name = typeof row.name === 'string' ? row.name : null;
  const into = found.get(tx);
  if (!into) console.error(`A record of ${table} cannot be read (${id}): ${fault}`);
  else if (!into.some((one) => one.table === table && one.id === id)) into.push({ table, id, name, fault });
}
