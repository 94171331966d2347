import { createHash } from 'node:crypto';
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

/** What was found wrong with records, by table and key, and a digest of the content it was found in. */
const verdicts = new Map<string, { digest: string; fault: string | null }>();
const MOST_VERDICTS = 10_000;

/**
 * What is wrong with a record; null for nothing. The same content is judged once.
 * @param key its table and id
 */
export function verdictOn(key: string, content: string, judge: () => string | null): string | null {
  const digest = createHash('sha256').update(content).digest('base64');
  const known = verdicts.get(key);
  if (known?.digest === digest) return known.fault;
  const fault = judge();
  if (verdicts.size >= MOST_VERDICTS) verdicts.clear();
  verdicts.set(key, { digest, fault });
  return fault;
}

const idOf = (row: TableRow): string => String(row.id ?? row.key ?? row.crop_key ?? '');

/**
 * The rows of a table that can be read. The others are noted for the page to name, and left out, or replaced where the rest
 * of the page hangs on them.
 * @param instead what stands in for a row that cannot be read; left out where not given
 */
export function soundRows<R extends object>(
  tx: Tx,
  table: string,
  rows: readonly R[],
  instead?: (row: R) => R
): R[] {
  return rows.flatMap((row): R[] => {
    // What was measured at a place changes all the time, and is packed by Brote itself.
    const content = JSON.stringify({ ...row, air: undefined });
    const fault = verdictOn(`${table} ${idOf(row as TableRow)}`, content, () =>
      faultOf(table, row as TableRow, null)
    );
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
