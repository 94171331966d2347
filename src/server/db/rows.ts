import type { Fragment, Tx } from './statement.ts';

let cursors = 0;

/**
 * The rows of a query some at a time, so that no more of them are held. By a cursor of the database itself: the driver's own
 * (3.4.9) never settles the query it was asked for, and whoever waits for that would wait for ever.
 * @param query a fragment, read within this transaction
 */
export async function* cursorRows<R>(tx: Tx, query: Fragment, atOnce = 500): AsyncGenerator<R[]> {
  const cursor = `rows_${(cursors = (cursors + 1) % 1_000_000)}`;
  await tx`declare ${tx(cursor)} no scroll cursor for ${query}`;
  for (;;) {
    const rows = await tx.unsafe(`fetch ${atOnce} from ${cursor}`);
    if (rows.length === 0) break;
    yield [...rows] as unknown as R[];
  }
  await tx.unsafe(`close ${cursor}`);
}
