import type postgres from 'postgres';
import { randomUUID } from 'node:crypto';
import { ask } from './ask.ts';
import { JSON_TYPE, own, type Camp } from './camp.ts';
import { targets, type Target } from './routes.ts';

/** What became of values that no form lets through, written past the application. */
export interface Nonsense {
  /** Values that stood in a household's rows while its pages were opened. */
  written: number;
  /** Values that the database itself refused. */
  refused: number;
  visited: number;
  errors: string[];
  /** Columns of tables in which the household has nothing. */
  empty: string[];
}

interface Column {
  table: string;
  column: string;
  type: string;
  keys: string[];
}

const NUMBERS = ['1e308', '-1e308', "'NaN'", '2147483647', '-1', '0'];
const VALUES: Readonly<Record<string, readonly string[]>> = {
  jsonb: ["'null'", "'{}'", "'[]'", "'[null]'", "'[{}]'", "'1e308'", '\'"x"\'', '\'{"type":"x"}\''].map(
    (one) => `${one}::jsonb`
  ),
  ARRAY: ["'{}'", "'{null}'", "'{2147483647,-1}'"]
};

/** Every number and every piece of JSON of a household, with what tells their rows apart. */
async function columnsOf(sql: postgres.Sql): Promise<Column[]> {
  return sql<Column[]>`
    select c.table_name as table, c.column_name as column, c.data_type as type,
      array(select a.attname::text from pg_index i join pg_attribute a
        on a.attrelid = i.indrelid and a.attnum = any(i.indkey)
        where i.indrelid = c.table_name::regclass and i.indisprimary) as keys
    from information_schema.columns c
    join information_schema.tables t using (table_schema, table_name)
    where c.table_schema = 'public' and t.table_type = 'BASE TABLE'
      and c.data_type in ('jsonb', 'ARRAY', 'double precision', 'real', 'integer', 'smallint', 'bigint', 'numeric')
      and exists (select 1 from information_schema.columns h where h.table_schema = 'public'
        and h.table_name = c.table_name and h.column_name = 'household_id')
    order by 1, 2`;
}

/** Gives a household one of everything that its forms make, and a reminder as the worker leaves it. */
async function fillAll(
  base: URL,
  camp: Camp,
  all: readonly Target[],
  sql: postgres.Sql,
  home: string
): Promise<void> {
  for (const { sent } of all) if (sent.method !== 'GET') await ask(base, sent);
  const put = (path: string, body: unknown) =>
    ask(base, {
      method: 'PUT',
      path,
      headers: own(base, camp.cookie, JSON_TYPE),
      body: JSON.stringify(body)
    });
  await put('/api/ahead/appetite', {
    eaters: [{ id: randomUUID(), name: 'All', gByWeekday: [30, 30, 30, 30, 30, 0, 0] }],
    tastes: [{ cropKey: 'radish', taste: 'liked', leastShare: 0.1, mostShare: 0.6 }],
    daysOff: [7]
  });
  await put('/api/ahead/orders', {
    id: randomUUID(),
    parts: [{ cropKey: 'radish' }],
    containerId: camp.ids.container,
    count: 1,
    medium: 'coir',
    methodKey: 'press-and-wait',
    placeId: camp.ids.place,
    rule: { kind: 'every', days: 7 },
    fromDay: '2027-01-04'
  });
  await sql`insert into reminders (household_id, id, key, kind, due_at, until_at, told_at, body)
    values (${home}, gen_random_uuid(), 'siege', 'round', now(), now() + interval '1 day', now(),
      ${sql.json({ type: 'round', stops: 1 })})`;
}

/**
 * Writes nonsense into every number and every piece of JSON of a household, one column at a time, opens its pages, and puts
 * back what was there: whatever stands in the database, no page is an error.
 * @param sql as who may write past the application
 * @param every so-manieth value, for a taste
 */
export async function writeNonsense(
  base: URL,
  camp: Camp,
  sql: postgres.Sql,
  every: number
): Promise<Nonsense> {
  const [{ home }] = await sql<[{ home: string }]>`
    select household_id as home from sowings where id = ${camp.ids.sowing}`;
  const all = targets(base, camp, camp).filter(({ spares }) => !spares);
  await fillAll(base, camp, all, sql, home);
  // A page is asked for its data on the way.
  const pages = all.filter(
    ({ name, sent }) => name.startsWith('GET /') && !sent.path.includes('__data.json')
  );
  const found: Nonsense = { written: 0, refused: 0, visited: 0, errors: [], empty: [] };
  let nth = 0;
  for (const { table, column, type, keys } of await columnsOf(sql)) {
    if (keys.includes(column)) continue;
    const whole = keys.map((key) => `t."${key}" = k."${key}"`).join(' and ');
    await sql.unsafe(
      `drop table if exists kept; create temp table kept as select * from "${table}" where household_id = '${home}'`
    );
    const [{ rows }] = await sql<[{ rows: number }]>`select count(*)::int as rows from kept`;
    if (rows === 0) {
      found.empty.push(`${table}.${column}`);
      continue;
    }
    for (const value of VALUES[type] ?? NUMBERS) {
      nth += 1;
      if (nth % every !== 0) continue;
      const isWritten = await sql
        .unsafe(`update "${table}" set "${column}" = ${value} where household_id = '${home}'`)
        .then(
          () => true,
          () => false
        );
      if (!isWritten) {
        found.refused += 1;
        continue;
      }
      found.written += 1;
      for (const { name, sent } of pages) {
        const came = await ask(base, sent);
        found.visited += 1;
        if (came.status >= 500 || came.hung)
          found.errors.push(`${table}.${column} = ${value}: ${name}: ${came.hung ? 'hung' : came.status}`);
      }
      await sql.unsafe(`update "${table}" t set "${column}" = k."${column}" from kept k where ${whole}`);
    }
  }
  return found;
}
