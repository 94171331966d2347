import { t } from '../../messages/t.ts';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { stringify } from 'csv-stringify';
import { ZipFile } from 'yazl';
import type { Tx } from '../db/connection.ts';
import { cursorRows } from '../db/rows.ts';
import { piped } from './piped.ts';
import { FORMAT, LEFT_OUT, LEFT_OUT_OF, PACKAGE_TABLES, type Field, type PackageTable } from './tables.ts';

/** The same household makes the same bytes: an archive says no time of its own. */
const NO_TIME = new Date(Date.UTC(1980, 0, 1));

/**
 * Writes all that the transaction's household wrote down into one archive: a CSV a table, and a schema that says what is in
 * them. A table is read while it is written: nothing of it is held. The same data make the same file.
 */
export async function exportPackage(tx: Tx, file: string): Promise<void> {
  const zip = new ZipFile();
  const broken = new AbortController();
  // Where one table breaks off, so does the whole.
  let why: unknown = null;
  const breakOff = (error: unknown) => {
    why ??= error;
    broken.abort();
  };
  zip.on('error', breakOff);
  const options = { mtime: NO_TIME, forceDosTimestamp: true, compress: true } as const;
  zip.addBuffer(Buffer.from(`${JSON.stringify(datapackage(), null, 2)}\n`), 'datapackage.json', options);
  for (const table of PACKAGE_TABLES)
    zip.addReadStreamLazy(fileOf(table), options, (give) => {
      // The archive (yazl 3.3) waits for ever for a stream that failed.
      give(null, csvOf(tx, table).on('error', breakOff));
    });
  zip.end();
  try {
    await pipeline(zip.outputStream, createWriteStream(file), { signal: broken.signal });
  } catch (error) {
    throw why ?? error;
  }
}

export const fileOf = ({ name }: PackageTable): string => `data/${name}.csv`;

/** The rows of a table as CSV, read while they are written. */
function csvOf(tx: Tx, { name, fields, order }: PackageTable): Readable {
  const columns = Object.entries(fields).map(([column, field]) => cell(column, field));
  const ordered = order.map((column) => `"${column}"`);
  // Names of this application's own registry; nothing that was sent stands in it.
  const query = tx.unsafe(`select ${columns.join(', ')} from ${name} order by ${ordered.join(', ')}`);
  const lines = async function* () {
    for await (const rows of cursorRows<Record<string, string | null>>(tx, query as never)) yield* rows;
  };
  return piped(
    Readable.from(lines()),
    stringify({ header: true, columns: Object.keys(fields), record_delimiter: 'unix' })
  );
}

/** A column as a cell: times to the microsecond and in UTC, texts safe from being taken for formulas. */
function cell(column: string, { type, id }: Field): string {
  const quoted = `"${column}"`;
  const shown =
    type === 'datetime'
      ? // eslint-disable-next-line brote/no-prose -- SQL
        `to_char(${quoted} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`
      : // A list of numbers is one in the database, and JSON as every other list is here.
        type === 'array'
        ? `to_json(${quoted})::text`
        : type === 'string' && !id
          ? // eslint-disable-next-line brote/no-prose -- SQL
            `case when ${quoted} ~ '^''*[=+\\-@\\t\\r]' then '''' || ${quoted} else ${quoted} end`
          : `${quoted}::text`;
  return `${shown} as ${quoted}`;
}

/** The package's own description, by the open Data Package and Table Schema formats. */
function datapackage(): object {
  return {
    name: 'brote-household',
    title: t('data.package.title'),
    profile: 'tabular-data-package',
    brote: {
      format: FORMAT,
      leftOut: { ...LEFT_OUT },
      leftOutOf: { ...LEFT_OUT_OF },
      cells: t('data.package.cells')
    },
    resources: PACKAGE_TABLES.map((table) => ({
      name: table.name.replaceAll('_', '-'),
      path: fileOf(table),
      profile: 'tabular-data-resource',
      encoding: 'utf-8',
      schema: {
        fields: Object.entries(table.fields).map(([name, { type, id, required }]) => ({
          name,
          type,
          ...(id ? { format: 'uuid' } : {}),
          ...(required ? { constraints: { required: true } } : {})
        })),
        primaryKey: table.key,
        missingValues: ['']
      }
    }))
  };
}
