import type { NotebookColumn, NotebookQuery, NotebookRow, Outcome } from '../../contract/notebook.ts';
import type { MixPart } from '../../core/crops/blend.ts';
import type { LossReason } from '../../core/sowing/event.ts';
import type { MediumKind } from '../../core/supplies/media/medium.ts';
import { folded } from '../../words/search.ts';
import type { Tx } from '../db/connection.ts';
import { cursorRows as rowsFrom } from '../db/rows.ts';
import { AREA_CM2, SEED_G } from './area.ts';
import { calendarDays } from './calendarDays.ts';

/** Lines to a page. */
export const PAGE = 25;

const CONTAINER = `case when s.assumed ? 'container' then null else c.name end`;
const BEGAN = 'coalesce(s.sown_at, s.sow_at)';
const CUT = 's.lost is null and s.cut_g > 0';

/** What each column is sorted by. Names of this file alone: nothing that was sent stands in it. */
const SORTED: Record<NotebookColumn, string> = {
  crop: 's.crop_key',
  sown: BEGAN,
  days: calendarDays('s.sown_at', 's.ended_at'),
  opened: calendarDays('s.sown_at', 's.opened_at'),
  cut: 's.cut_g',
  perArea: `case when ${CUT} then s.cut_g / ${AREA_CM2} end`,
  perSeed: `case when ${CUT} then s.cut_g / ${SEED_G} end`,
  seed: SEED_G,
  container: CONTAINER,
  medium: 's.medium',
  method: `coalesce(s.method->>'name', s.method_key)`,
  place: 'p.name',
  water: 's.watered_g',
  eaten: 's.eaten_g',
  thrown: 's.thrown_g',
  outcome: `coalesce(s.lost, case when s.ended_at is null then '' else 'cut' end)`
};

const OUTCOME: Record<Outcome, string> = {
  cut: 's.ended_at is not null and s.lost is null',
  lost: 's.lost is not null',
  'under-way': 's.ended_at is null'
};

/** As it stands between wildcards: what they are is looked for as it is. */
const literally = (text: string): string => text.replace(/[\\%_]/g, (sign) => `\\${sign}`);

function conditions(tx: Tx, query: NotebookQuery) {
  const { text, crop, place, lot, medium, method, outcome } = query;
  const words = folded(text)
    .split(' ')
    .filter(Boolean)
    .map((word) => `%${literally(word)}%`);
  return tx`true
    ${words.length > 0 ? tx`and s.words like all(${words})` : tx``}
    ${crop ? tx`and (s.crop_key = ${crop} or s.mix @> ${tx.json([{ cropKey: crop }])})` : tx``}
    ${place ? tx`and s.place_id = ${place}` : tx``}
    ${lot ? tx`and (s.lot_id = ${lot} or s.mix @> ${tx.json([{ lotId: lot }])})` : tx``}
    ${medium ? tx`and (s.medium = ${medium} or s.medium_id::text = ${medium})` : tx``}
    ${method ? tx`and s.method_key = ${method}` : tx``}
    ${outcome ? tx`and ${tx.unsafe(OUTCOME[outcome])}` : tx`and (s.sown_at is not null or s.ended_at is not null)`}`;
}

interface Row {
  id: string;
  crop_key: string;
  mix: MixPart[] | null;
  container: string | null;
  count: number;
  medium: MediumKind;
  medium_name: string | null;
  method: string;
  place: string;
  began: Date;
  sown: boolean;
  ended_at: Date | null;
  lost: LossReason | null;
  days: number | null;
  opened_d: number | null;
  seed_g: number | null;
  cut_g: number;
  per_m2: number | null;
  per_seed: number | null;
  watered_g: number;
  eaten_g: number;
  thrown_g: number;
}

const rowOf = (row: Row): NotebookRow => ({
  id: row.id,
  cropKey: row.crop_key,
  mix: row.mix,
  container: row.container,
  count: row.count,
  medium: row.medium,
  mediumName: row.medium_name,
  method: row.method,
  place: row.place,
  sownAt: row.began.getTime(),
  sown: row.sown,
  endedAt: row.ended_at?.getTime() ?? null,
  lost: row.lost,
  days: row.days,
  openedD: row.opened_d,
  seedG: row.seed_g,
  cutG: row.cut_g,
  perM2: row.per_m2,
  perSeed: row.per_seed,
  wateredG: row.watered_g,
  eatenG: row.eaten_g,
  thrownG: row.thrown_g
});

const columns = (tx: Tx) => tx`
  s.id, s.crop_key, s.mix, ${tx.unsafe(CONTAINER)} as container, s.count, s.medium, m.name as medium_name,
  coalesce(s.method->>'name', s.method_key) as method, p.name as place, ${tx.unsafe(BEGAN)} as began,
  s.sown_at is not null as sown, s.ended_at, s.lost,
  ${tx.unsafe(calendarDays('s.sown_at', 's.ended_at'))} as days,
  ${tx.unsafe(calendarDays('s.sown_at', 's.opened_at'))} as opened_d,
  ${tx.unsafe(SEED_G)} as seed_g, s.cut_g, case when ${tx.unsafe(CUT)} then s.cut_g / ${tx.unsafe(AREA_CM2)} * 10000 end as per_m2,
  case when ${tx.unsafe(CUT)} then s.cut_g / ${tx.unsafe(SEED_G)} end as per_seed, s.watered_g, s.eaten_g, s.thrown_g`;

const joined = (tx: Tx) => tx`sowings s
  join containers c on c.household_id = s.household_id and c.id = s.container_id
  join places p on p.household_id = s.household_id and p.id = s.place_id
  left join media m on m.household_id = s.household_id and m.id = s.medium_id`;

const order = (tx: Tx, { sort, descending }: NotebookQuery) =>
  tx.unsafe(
    sort === 'sown' && descending
      ? `${BEGAN} desc nulls last, s.id`
      : `${SORTED[sort]} ${descending ? 'desc' : 'asc'} nulls last, ${BEGAN} desc, s.id`
  );

/** What a page is sorted by is joined before it is cut out; all else to its few lines alone. */
const sorted = (tx: Tx, { sort }: NotebookQuery) =>
  sort === 'container' || sort === 'perArea'
    ? tx`sowings s join containers c on c.household_id = s.household_id and c.id = s.container_id`
    : sort === 'place'
      ? tx`sowings s join places p on p.household_id = s.household_id and p.id = s.place_id`
      : tx`sowings s`;

/** One page of what is looked for, and how many there are. */
export async function searchNotebook(
  tx: Tx,
  query: NotebookQuery
): Promise<{ rows: NotebookRow[]; total: number }> {
  const where = conditions(tx, query);
  const [rows, [count]] = await Promise.all([
    tx<Row[]>`with page as materialized (
        select s.id from ${sorted(tx, query)} where ${where}
        order by ${order(tx, query)} limit ${PAGE} offset ${(query.page - 1) * PAGE})
      select ${columns(tx)} from ${joined(tx)} where s.id in (select id from page) order by ${order(tx, query)}`,
    tx<{ total: number }[]>`select count(*)::int as total from sowings s where ${where}`
  ]);
  return { rows: rows.map(rowOf), total: count!.total };
}

/** All that is looked for, some at a time. */
export async function* allOfNotebook(tx: Tx, query: NotebookQuery): AsyncGenerator<NotebookRow[]> {
  const all = tx`select ${columns(tx)} from ${joined(tx)} where ${conditions(tx, query)} order by ${order(tx, query)}`;
  for await (const rows of rowsFrom<Row>(tx, all as never)) yield rows.map(rowOf);
}

/** What can be looked for besides the ready methods and the kinds of media. */
export interface Facets {
  crops: string[];
  places: { id: string; name: string }[];
  lots: { id: string; name: string; cropKey: string }[];
  media: { id: string; name: string }[];
  methods: { key: string; name: string }[];
}

/** The facets of the transaction's household, in one query; its crops by an index, each looked up once and not every sowing. */
export async function notebookFacets(tx: Tx): Promise<Facets> {
  const [row] = await tx<Facets[]>`
    with recursive crop as (
      (select min(crop_key) as key from sowings)
      union all
      select (select min(s.crop_key) from sowings s where s.crop_key > crop.key) from crop where crop.key is not null
    )
    select
      coalesce((select json_agg(key) from crop where key is not null), '[]') as crops,
      coalesce((select json_agg(json_build_object('id', id, 'name', name) order by position, name) from places), '[]') as places,
      coalesce((select json_agg(json_build_object('id', id, 'name', name, 'cropKey', crop_key) order by crop_key, name)
        from lots), '[]') as lots,
      coalesce((select json_agg(json_build_object('id', id, 'name', name) order by name) from media), '[]') as media,
      coalesce((select json_agg(json_build_object('key', key, 'name', name) order by name) from methods), '[]') as methods`;
  return row!;
}
