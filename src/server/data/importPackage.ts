import { t } from '../../messages/t.ts';
import { CsvError, parse } from 'csv-parse';
import type { Readable } from 'node:stream';
import { settleAllAir } from '../air/air.ts';
import { rebuild } from '../app/rebuild.ts';
import type { Units } from '../../core/units/format.ts';
import type { Tx } from '../db/connection.ts';
import { changeMoney } from '../households/prices.ts';
import { Breath } from '../requests/breath.ts';
import { nameKey } from '../../contract/text.ts';
import { changeSettings } from '../households/household.ts';
import { NotAPackage } from './notAPackage.ts';
import { openPackage } from './openPackage.ts';
import { piped } from './piped.ts';
import { rowOf, WrongRow, type Known, type TableRow } from './rows.ts';
import { PACKAGE_TABLES, type Field, type PackageTable } from './tables.ts';

/** What an import came to, table by table. */
export interface Imported {
  tables: { name: string; added: number; known: number }[];
  /** Its settings were taken over: there was nothing here before. */
  settings: boolean;
}

/** Rows that are wrong, each with its file and line: nothing of the package was taken. */
export class WrongRows extends Error {
  override readonly name = 'WrongRows';
  constructor(readonly rows: readonly { file: string; line: number; say: string }[]) {
    super('WrongRows');
  }
}

/** Rows that are written at once, and how many letters of them at most. */
const BATCH = 500;
const BATCH_LETTERS = 1024 * 1024;
/** Others may be answered after every so many rows. */
const ROWS_A_BREATH = 32;
/** More than so many wrong rows are one and the same mistake. */
const MOST_WRONG = 20;
const MOST_ROW = 256 * 1024;
/** Sowings that are worked out anew at once. */
const DERIVED = 100;

/**
 * Takes a package into the transaction's household, all or nothing. What is here already stays as it is, so that taking the
 * same package twice adds nothing. Rows are read, checked and written a few hundred at a time.
 * @throws NotAPackage where the file is none; WrongRows where rows of it are wrong
 */
export async function importPackage(tx: Tx, householdId: string, file: string): Promise<Imported> {
  const open = await openPackage(file);
  try {
    const import_ = new Import(tx, householdId);
    const tables: Imported['tables'] = [];
    for (const table of PACKAGE_TABLES) {
      const stream = await open.table(table.name);
      if (stream) tables.push({ name: table.name, ...(await import_.table(table, stream)) });
    }
    if (import_.wrong.length > 0) throw new WrongRows(import_.wrong);
    await import_.settle();
    return { tables, settings: import_.settings };
  } finally {
    open.close();
  }
}

/** Ids of the package that stand for something of the same name or size that is here already. */
type Aliases = Map<string, string>;

class Import {
  readonly wrong: { file: string; line: number; say: string }[] = [];
  settings = false;
  private readonly known: Known = { crops: new Map(), checkedBodies: new Map() };
  private readonly members: Aliases = new Map();
  private readonly containers: Aliases = new Map();
  private readonly sowings = new Set<string>();
  private readonly breath = new Breath();

  constructor(
    private readonly tx: Tx,
    private readonly householdId: string
  ) {}

  async table(table: PackageTable, stream: Readable): Promise<{ added: number; known: number }> {
    let [added, seen] = [0, 0];
    let batch: TableRow[] = [];
    // Batches are written one after the other while the next ones are read, at most two ahead.
    let [writing, next] = [Promise.resolve(), Promise.resolve()];
    const take = async () => {
      await writing;
      const full = batch;
      batch = [];
      if (full.length === 0 || this.wrong.length > 0) return;
      writing = next;
      next = next.then(async () => void (added += await this.write(table, full)));
      next.catch(() => {});
    };
    const file = `data/${table.name}.csv`;
    const lines = piped(
      stream,
      parse({
        columns: (names: string[]) => this.columnsOf(table, names),
        bom: true,
        max_record_size: MOST_ROW
      })
    );
    // The names of the columns are its first line.
    let line = 1;
    let letters = 0;
    try {
      for await (const record of lines as AsyncIterable<Record<string, string>>) {
        if ((seen += 1) % ROWS_A_BREATH === 0) await this.breath.taken();
        const cells = Object.values(record);
        // Counted here: for csv-parse (7.0) telling the line takes as long as reading it.
        line +=
          1 +
          cells.reduce((more, cell) => (cell.includes('\n') ? more + cell.split('\n').length - 1 : more), 0);
        letters += cells.reduce((sum, cell) => sum + cell.length, 0);
        try {
          batch.push(rowOf(table, record, this.known));
        } catch (error) {
          if (!(error instanceof WrongRow)) throw error;
          this.wrong.push({ file, line, say: error.message });
          if (this.wrong.length >= MOST_WRONG) throw new WrongRows(this.wrong);
        }
        if (batch.length < BATCH && letters < BATCH_LETTERS) continue;
        await take();
        letters = 0;
      }
    } catch (error) {
      if (error instanceof CsvError) throw new NotAPackage(t('data.notATable', { file }));
      throw error;
    }
    await take();
    await next;
    return { added, known: seen - added };
  }

  private columnsOf({ name, fields }: PackageTable, names: string[]): string[] {
    // What came with a later version may not be there yet.
    const missing = Object.keys(fields).filter(
      (column) => fields[column]!.required && !names.includes(column)
    );
    if (missing.length > 0)
      throw new NotAPackage(t('data.lacksColumn', { table: name, column: missing[0]! }));
    return names;
  }

  /** @returns how many were new */
  private async write(table: PackageTable, rows: TableRow[]): Promise<number> {
    switch (table.name) {
      case 'households':
        return this.household(rows[0]!);
      case 'members':
        return this.peopleOf(rows);
      case 'containers':
        return this.containersOf(table, rows);
      case 'sowings':
        for (const { id } of rows) this.sowings.add(id as string);
        return this.insert(
          table,
          rows.map((row) => ({
            ...row,
            container_id: this.containers.get(row.container_id as string) ?? row.container_id,
            locked: row.locked ?? false,
            created_by: this.member(row.created_by)
          }))
        );
      case 'standing_orders':
        return this.insert(
          table,
          rows.map((row) => ({
            ...row,
            share_of: row.share_of ?? 'weight',
            container_id: this.containers.get(row.container_id as string) ?? row.container_id
          }))
        );
      case 'eaters':
        return this.insert(
          table,
          rows.map((row) => ({ ...row, liked: row.liked ?? [], disliked: row.disliked ?? [] }))
        );
      case 'events':
        for (const { sowing_id } of rows) this.sowings.add(sowing_id as string);
        return this.insert(
          table,
          rows.map((row) => ({ ...row, member_id: this.member(row.member_id) }))
        );
      case 'turns':
        return this.insert(
          table,
          rows.map((row) => ({
            ...row,
            member_id: this.member(row.member_id),
            set_by: this.member(row.set_by)
          }))
        );
      default:
        return this.insert(table, rows);
    }
  }

  private member(id: unknown): unknown {
    return this.members.get(id as string) ?? id;
  }

  private async insert({ name, fields }: PackageTable, rows: readonly TableRow[]): Promise<number> {
    const columns = Object.keys(fields);
    const listed = columns.map((column) => `"${column}"`).join(', ');
    const typed = columns.map((column) => `"${column}" ${pgType(fields[column]!)}`).join(', ');
    const secret = SECRET.has(name);
    // Names of this file's own registry; every value is a parameter.
    const { count } = await this.tx`
      insert into ${this.tx.unsafe(name)} (household_id, ${this.tx.unsafe(listed)}${this.tx.unsafe(secret ? ', token_hash' : '')})
      select ${this.householdId}, ${this.tx.unsafe(listed)}${this.tx.unsafe(secret ? `, ${NO_KEY}` : '')}
      from jsonb_to_recordset(${this.tx.json(rows as never)}) as given(${this.tx.unsafe(typed)})
      on conflict do nothing`;
    return count;
  }

  /** Settings are taken over where there is nothing here yet; the name stays the one that people sign in with. */
  private async household(row: TableRow): Promise<number> {
    const [sown] = await this.tx`select 1 from sowings limit 1`;
    if (sown) return 0;
    await changeSettings(this.tx, {
      zone: row.zone as string,
      units: row.units as Units,
      latitudeDeg: row.latitude_deg as number,
      wakeMin: row.wake_min as number,
      sleepMin: row.sleep_min as number,
      roundsMin: row.rounds_min as number[],
      methodKey: row.method_key as string
    });
    await changeMoney(this.tx, {
      currency: row.currency as string,
      kWh: row.price_kwh as number | null,
      feedL: row.price_feed_l as number | null
    });
    await this.tx`update households set days_off = ${(row.days_off as number[] | null) ?? []},
        least_crops = ${row.least_crops as number | null}, most_in_row = ${row.most_in_row as number | null}
      where household_id = current_household()`;
    this.settings = true;
    return 1;
  }

  /** Who is here already under the same name is taken for the same person; whoever had left stays away. */
  private async peopleOf(rows: readonly TableRow[]): Promise<number> {
    const here = await this.tx<{ id: string; name_key: string; left: boolean }[]>`
      select id, name_key, left_at is not null as left from members`;
    let added = 0;
    for (const row of rows) {
      const [id, name, leftAt] = [row.id as string, row.name as string, row.left_at as string | null];
      if (here.some((one) => one.id === id)) continue;
      const key = nameKey(name);
      const same = leftAt === null ? here.find((one) => !one.left && one.name_key === key) : undefined;
      if (same) {
        this.members.set(id, same.id);
        continue;
      }
      // Under a name of its own until it is known to have left: two of one name cannot both be here.
      const { count } = await this.tx`insert into members (household_id, id, name, name_key)
        values (${this.householdId}, ${id}, ${name}, ${leftAt === null ? key : id}) on conflict do nothing`;
      if (count > 0)
        await this.tx`update members set left_at = ${leftAt}, name_key = ${key},
          quiet_from_min = ${row.quiet_from_min as number | null}, quiet_until_min = ${row.quiet_until_min as number | null}
          where id = ${id}`;
      added += count;
    }
    return added;
  }

  /** A container of the same size is the same container. */
  private async containersOf(table: PackageTable, rows: readonly TableRow[]): Promise<number> {
    const size = ({ shape, length_cm, width_cm, depth_cm, cells }: TableRow): string =>
      [shape, length_cm, width_cm, depth_cm, cells].join('|');
    const here = await this.tx<
      TableRow[]
    >`select id, shape, length_cm, width_cm, depth_cm, cells from containers`;
    const bySize = new Map(here.map((one) => [size(one), one.id as string]));
    const fresh = rows.filter((row) => {
      const same = bySize.get(size(row));
      if (same && same !== row.id) this.containers.set(row.id as string, same);
      return same === undefined;
    });
    return fresh.length > 0 ? this.insert(table, fresh) : 0;
  }

  /** Works out what follows from what was taken. */
  async settle(): Promise<void> {
    await settleAllAir(this.tx, this.householdId);
    const ids = [...this.sowings];
    for (let from = 0; from < ids.length; from += DERIVED)
      await rebuild(this.tx, { ids: ids.slice(from, from + DERIVED) });
  }
}

/** Tables whose rows need a key that is nobody's: what was exported brings none along. */
const SECRET = new Set(['devices', 'sitters']);
// eslint-disable-next-line brote/no-prose -- SQL
const NO_KEY = `sha256(convert_to(gen_random_uuid()::text, 'utf8'))`;

const pgType = ({ type, id }: Field): string =>
  id
    ? 'uuid'
    : {
        string: 'text',
        number: 'double precision',
        integer: 'integer',
        boolean: 'boolean',
        date: 'date',
        datetime: 'timestamptz',
        object: 'jsonb',
        array: 'jsonb'
      }[type];
