import { Readable } from 'node:stream';
import { stringify } from 'csv-stringify';
import { safeCell } from './cells.ts';
import { piped } from './piped.ts';

/** A figure stays one; a text is safe from being taken for a formula. */
export type Cell = string | number | null;

/**
 * A list as an open file, row by row as it is made.
 * @param rows in batches
 */
export function csvAnswer(
  name: string,
  columns: readonly string[],
  rows: AsyncIterable<readonly (readonly Cell[])[]> | Iterable<readonly (readonly Cell[])[]>
): Response {
  const lines = async function* () {
    yield columns.map(safeCell);
    for await (const batch of rows)
      for (const row of batch)
        yield row.map((cell) => (typeof cell === 'string' ? safeCell(cell) : (cell ?? '')));
  };
  const file = piped(Readable.from(lines()), stringify());
  return new Response(Readable.toWeb(file) as ReadableStream, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name}"`
    }
  });
}
