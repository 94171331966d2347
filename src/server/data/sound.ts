import type { Tx } from '../db/connection.ts';
import { faultOf } from './faultOf.ts';
import type { Row } from './rows.ts';

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

/** Verdicts on rows, by what stands in them: the same row is checked once, as far as there is room. */
const verdicts = new Map<string, string | null>();
const MOST_VERDICTS = 5000;

function verdictOn(table: string, row: Row): string | null {
  // What was measured at a place changes all the time, and is packed by Brote itself.
  const key = `${table} ${JSON.stringify({ ...row, air: undefined })}`;
  const known = verdicts.get(key);
  if (known !== undefined) return known;
  const fault = faultOf(table, row, null);
  if (verdicts.size >= MOST_VERDICTS) verdicts.clear();
  // Long ones are logs and mixes of their own, and are rare.
  if (key.length < 4000) verdicts.set(key, fault);
  return fault;
}

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
    const fault = verdictOn(table, row as Row);
    if (fault === null) return [row];
    note(tx, table, row as Row, fault);
    return instead ? [instead(row)] : [];
  });
}

/** Notes a record that cannot be read, once. */
export function note(tx: Tx, table: string, row: Row, fault: string): void {
  const id = String(row.id ?? row.key ?? row.crop_key ?? '');
  const name = typeof row.name === 'string' ? row.name : null;
  const into = found.get(tx);
  if (!into) console.error(`A record of ${table} cannot be read (${id}): ${fault}`);
  else if (!into.some((one) => one.table === table && one.id === id)) into.push({ table, id, name, fault });
}
