import type { SowingRecord } from '../../core/sowing/record.ts';
import type { Millis } from '../../core/time/zone.ts';
import type { Assumed, SowingSetup } from '../../core/sowing/sowing.ts';
import type { Method } from '../../core/supplies/methods/method.ts';
import { completed, isReady, methodOf } from '../../core/supplies/methods/ready.ts';
import type { MixPart } from '../../core/crops/blend.ts';
import type { MediumKind } from '../../core/supplies/media/medium.ts';
import { freeNumber } from '../../core/supplies/containers/numbering.ts';
import type { Tx } from '../db/connection.ts';
import type { Fragment } from '../db/statement.ts';
import { faultOf, logFault } from '../data/faultOf.ts';
import { note, verdictOn } from '../data/sound.ts';
import { containerOf, saveContainer, soundContainers, type ContainerRow } from './containers.ts';

interface SowingRow extends ContainerRow {
  id: string;
  crop_key: string;
  count: number;
  medium: MediumKind;
  method_key: string;
  place_id: string;
  light_place_id: string | null;
  seeds_per_cm2: number;
  germination_pct: number | null;
  seed_g: number;
  method: Partial<Method> | null;
  area_share: number;
  mix: MixPart[] | null;
  lot_id: string | null;
  medium_id: string | null;
  soak_start_at: Date | null;
  soak_end_at: Date | null;
  sow_at: Date;
  soak_h: number | null;
  stack_of: number | null;
  assumed: Assumed[] | null;
  tray_id: string | null;
  tray_no: number | null;
  beside_key: string | null;
  created_at: Date;
  cleaning: boolean;
  to_clean: boolean;
  log: string;
  /** Keys of the household's own crops. */
  own_keys: string[];
}

/** A method that was changed or made by the household is kept with the sowing; a ready one by its key. */
const methodOfRow = ({ method, method_key }: SowingRow): Method =>
  method ? completed({ ...method, key: method_key, name: method.name ?? method_key }) : methodOf(method_key);

function recordOf(row: SowingRow): SowingRecord {
  return {
    setup: {
      id: row.id,
      cropKey: row.crop_key,
      mix: row.mix,
      container: containerOf(row),
      count: row.count,
      areaShare: row.area_share,
      medium: row.medium,
      mediumId: row.medium_id,
      method: methodOfRow(row),
      placeId: row.place_id,
      lightPlaceId: row.light_place_id,
      seedsPerCm2: row.seeds_per_cm2,
      germinationPct: row.germination_pct,
      seedG: row.seed_g,
      lotId: row.lot_id,
      soakStartAt: row.soak_start_at?.getTime() ?? null,
      soakEndAt: row.soak_end_at?.getTime() ?? null,
      sowAt: row.sow_at.getTime(),
      soakH: row.soak_h,
      stackOf: row.stack_of,
      trayNo: row.tray_no,
      half: row.tray_id && row.beside_key ? { trayId: row.tray_id, besideKey: row.beside_key } : null,
      ...(row.assumed ? { assumed: row.assumed } : {})
    },
    plannedAt: row.created_at.getTime(),
    ...(row.cleaning ? {} : { cleaning: false as const }),
    ...(row.to_clean ? { emptied: true as const } : {}),
    log: row.log
  };
}

const recordsOf = (tx: Tx, rows: readonly SowingRow[]): SowingRecord[] =>
  soundSowings(tx, rows).map(recordOf);

/** Those that can be followed; the others are noted, for the page to name. */
function soundSowings(tx: Tx, rows: readonly SowingRow[]): SowingRow[] {
  return soundContainers(tx, rows).filter((row) => {
    // The log is as long as all else many times over, and text already.
    const { log, ...rest } = row;
    const fault = verdictOn(
      'sowings',
      `${JSON.stringify(rest)} ${log}`,
      () => faultOf('sowings', row as never, new Set(row.own_keys)) ?? logFault(row.log)
    );
    if (fault !== null) note(tx, 'sowings', { id: row.id, name: row.crop_key }, fault);
    return fault === null;
  });
}

/**
 * A log is put together as text: the database's own JSON functions take twice as long over it.
 * @param by what stands for who did it
 * @param which of its events
 */
const columnsWith = (tx: Tx, by: Fragment, which: Fragment) => tx`
  s.id, s.crop_key, s.count, s.medium, s.method_key, s.place_id, s.light_place_id, s.seeds_per_cm2, s.germination_pct, s.seed_g,
  s.method, s.area_share, s.mix, s.lot_id, s.medium_id, s.soak_start_at, s.soak_end_at, s.sow_at, s.soak_h, s.stack_of, s.assumed, s.created_at, s.cleaning, s.to_clean, array(select key from own_crops) as own_keys, c.name, c.shape,
  c.length_cm, c.width_cm, c.depth_cm, c.cells, c.reservoir_ml, c.empty_g,
  case when s.tray_no + s.count - 1 > c.owned then null
    when c.owned > 1 or s.count > 1 or exists (select from sowings o where o.household_id = s.household_id
    and o.container_id = s.container_id and (o.ended_at is null or o.to_clean) and coalesce(o.tray_id, o.id) <> coalesce(s.tray_id, s.id))
    then s.tray_no end as tray_no,
  s.tray_id, case when s.tray_id is not null then (select o.crop_key from sowings o
    where o.household_id = s.household_id and o.tray_id = s.tray_id and o.id <> s.id limit 1) end as beside_key,
  '[' || coalesce((select string_agg(
      '["' || e.id || '",' || (extract(epoch from e.at) * 1000)::bigint || ',' || coalesce('"' || ${by} || '"', 'null')
        || ',' || coalesce(to_json(e.task_key)::text, 'null') || ',' || e.body || ']', ',' order by e.at, e.seq)
    from events e where e.household_id = s.household_id and e.sowing_id = s.id and ${which}), '') || ']' as log`;

const columns = (tx: Tx) => columnsWith(tx, tx`e.member_id`, tx`true`);

/**
 * A list shows who did something today, not who did it last week: half of a log would be those names. Nor
 * does what was turned, aired or noted last week change what a tray asks for today.
 */
const recentColumns = (tx: Tx) =>
  columnsWith(
    tx,
    tx`case when e.at > now() - interval '2 days' then e.member_id end`,
    tx`(e.at > now() - interval '2 days' or e.type not in ('turned', 'aired', 'noted'))`
  );

/** The sowings under way, in the order the trays stand: by place, and within a place oldest first. */
export async function listUnderWay(tx: Tx): Promise<SowingRecord[]> {
  const rows = await tx<SowingRow[]>`select ${recentColumns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    join places p on p.household_id = s.household_id and p.id = s.place_id
    where s.ended_at is null order by p.position, s.sow_at, s.id`;
  return recordsOf(tx, rows);
}

/** What a round passes: the sowings under way, and those whose emptied containers are to be cleaned. */
export async function listForRound(tx: Tx): Promise<SowingRecord[]> {
  const rows = await tx<SowingRow[]>`select ${recentColumns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    join places p on p.household_id = s.household_id and p.id = s.place_id
    where s.ended_at is null or s.to_clean order by p.position, s.sow_at, s.id`;
  return recordsOf(tx, rows);
}

/** The sowings of which something is in the pantry. */
export async function listInPantry(tx: Tx): Promise<SowingRecord[]> {
  const rows = await tx<SowingRow[]>`select ${columns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    where s.in_pantry order by s.id`;
  return recordsOf(tx, rows);
}

/** Some of the household's sowings by their ids, in the order they were sown. */
export async function findSowings(tx: Tx, ids: readonly string[]): Promise<SowingRecord[]> {
  if (ids.length === 0) return [];
  const rows = await tx<SowingRow[]>`select ${columns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    where s.id in ${tx(ids)} order by coalesce(s.sown_at, s.sow_at), s.id`;
  return recordsOf(tx, rows);
}

/** The sowings under way whose seed is not on its medium yet. */
export async function listInPreparation(tx: Tx): Promise<SowingRecord[]> {
  const rows = await tx<SowingRow[]>`select ${columns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    where s.ended_at is null and not exists (
      select from events e where e.household_id = s.household_id and e.sowing_id = s.id and e.type = 'sown'
        and not exists (select from events u where u.household_id = e.household_id and u.sowing_id = e.sowing_id
          and u.type = 'undone' and u.body->>'eventId' = e.id::text))
    order by s.sow_at, s.id`;
  return recordsOf(tx, rows);
}

/** Some of the household's sowings: by the place they stood in at any time, by a crop of theirs, by when they ended. */
export interface Which {
  placeId?: string;
  cropKey?: string;
  /** Under way, or ended after this. */
  endedAfter?: Millis;
  ids?: readonly string[];
}

/** The household's sowings, those that ended too, with all that happened to them. */
export async function listSowings(
  tx: Tx,
  { placeId = undefined, cropKey = undefined, endedAfter = undefined, ids = undefined }: Which = {}
): Promise<SowingRecord[]> {
  const stood = placeId
    ? tx`(s.place_id = ${placeId} or s.light_place_id = ${placeId} or exists (select from events e where e.household_id = s.household_id
        and e.sowing_id = s.id and e.type = 'moved' and e.body->>'placeId' = ${placeId}))`
    : tx`true`;
  const of = cropKey ? tx`(s.crop_key = ${cropKey} or s.mix @> ${tx.json([{ cropKey }])})` : tx`true`;
  const ended = endedAfter ? tx`(s.ended_at is null or s.ended_at > ${new Date(endedAfter)})` : tx`true`;
  const rows = await tx<SowingRow[]>`select ${columns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    where ${stood} and ${of} and ${ended} and ${ids ? tx`s.id in ${tx(ids)}` : tx`true`} order by s.id`;
  return recordsOf(tx, rows);
}

/** The last sowing of each crop and of each blend. */
export async function listLatest(tx: Tx): Promise<SowingSetup[]> {
  const rows = await tx<SowingRow[]>`with latest as materialized (
      select distinct on (crop_key) id from sowings where mix is null and sown_at is not null order by crop_key, sown_at desc),
    blended as materialized (
      select distinct on (jsonb_path_query_array(mix, '$[*].cropKey')) id from sowings where mix is not null and sown_at is not null
      order by jsonb_path_query_array(mix, '$[*].cropKey'), sown_at desc)
    select ${columnsWith(tx, tx`null`, tx`false`)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    where s.id in (select id from latest union all select id from blended) order by s.crop_key`;
  return recordsOf(tx, rows).map(({ setup }) => setup);
}

/** The planned sowings that stay as they are, whatever is proposed. */
export async function listLocked(tx: Tx): Promise<string[]> {
  const rows = await tx<{ id: string }[]>`select id from sowings where locked and ended_at is null`;
  return rows.map(({ id }) => id);
}

/** Keeps a planned sowing as it is, or lets it be moved again. */
export async function lockSowing(tx: Tx, id: string, locked: boolean): Promise<void> {
  await tx`update sowings set locked = ${locked} where id = ${id}`;
}

/** The sowings that ended, the latest first. */
export async function listEnded(tx: Tx, limit: number): Promise<SowingRecord[]> {
  const rows = await tx<SowingRow[]>`select ${columns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    where s.ended_at is not null order by s.ended_at desc, s.id limit ${limit}`;
  return recordsOf(tx, rows);
}

/** A sowing with the moment it was put on the list: nothing happened to it before. */
export interface FoundSowing extends SowingRecord {
  begunAt: Millis;
}

const foundsOf = (tx: Tx, rows: readonly SowingRow[]): FoundSowing[] =>
  soundSowings(tx, rows).map((row) => ({ ...recordOf(row), begunAt: row.created_at.getTime() }));

/** One sowing of the household, or null: another household's is no more there than one that never was. */
export async function findSowing(tx: Tx, id: string): Promise<FoundSowing | null> {
  const [row] = await tx<SowingRow[]>`select ${columns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id where s.id = ${id}`;
  return row ? (foundsOf(tx, [row])[0] ?? null) : null;
}

/** The other half of a sowing's container, until that is clean again; null where there is none. */
export async function findBeside(tx: Tx, { id, half }: SowingSetup): Promise<SowingRecord | null> {
  if (!half) return null;
  const [row] = await tx<SowingRow[]>`select ${columns(tx)} from sowings s
    join containers c on c.household_id = s.household_id and c.id = s.container_id
    where s.tray_id = ${half.trayId} and s.id <> ${id} and (s.ended_at is null or s.to_clean)`;
  return row ? (recordsOf(tx, [row])[0] ?? null) : null;
}

/** Some sowings of the household, held until the transaction ends: what is derived of each is written by one at a time. */
export async function holdSowings(tx: Tx, ids: readonly string[]): Promise<FoundSowing[]> {
  // Two statements, sent together: the second sees what was written while the first had to wait.
  const [, rows] = await Promise.all([
    tx`select from sowings where id in ${tx(ids)} order by id for update`,
    tx<SowingRow[]>`select ${columns(tx)} from sowings s
      join containers c on c.household_id = s.household_id and c.id = s.container_id where s.id in ${tx(ids)}`
  ]);
  return foundsOf(tx, rows);
}

/** The number its first container is to bear: the other half's, or the first that is free. */
async function numberFor(tx: Tx, containerId: string, { count, half }: SowingSetup): Promise<number> {
  const taken = await tx<{ no: number; count: number; tray_id: string | null }[]>`
    select tray_no as no, count, tray_id from sowings where container_id = ${containerId} and (ended_at is null or to_clean)`;
  const beside = half && taken.find(({ tray_id }) => tray_id === half.trayId);
  return beside ? beside.no : freeNumber(taken, count);
}

/** Adds a sowing; adding it again changes nothing. Its container is kept under `containerId` if it is new. */
export async function addSowing(
  tx: Tx,
  householdId: string,
  setup: SowingSetup,
  by: { memberId: string | null; at: number; containerId: string }
): Promise<void> {
  const containerId = await saveContainer(tx, householdId, by.containerId, setup.container);
  const no = await numberFor(tx, containerId, setup);
  const time = (ms: number | null) => (ms === null ? null : new Date(ms));
  await tx`insert into sowings (household_id, id, crop_key, container_id, count, medium, method_key, place_id, light_place_id, seeds_per_cm2,
      germination_pct, seed_g, method, area_share, mix, lot_id, medium_id, soak_start_at, soak_end_at, sow_at, soak_h, stack_of, tray_id, tray_no,
      created_at, created_by)
    values (${householdId}, ${setup.id}, ${setup.cropKey}, ${containerId}, ${setup.count}, ${setup.medium}, ${setup.method.key},
      ${setup.placeId}, ${setup.lightPlaceId}, ${setup.seedsPerCm2}, ${setup.germinationPct}, ${setup.seedG}, ${isReady(setup.method) ? null : tx.json(setup.method as never)},
      ${setup.areaShare}, ${setup.mix === null ? null : tx.json(setup.mix as never)}, ${setup.lotId}, ${setup.mediumId},
      ${time(setup.soakStartAt)}, ${time(setup.soakEndAt)}, ${time(setup.sowAt)},
      ${setup.soakH}, ${setup.stackOf}, ${setup.half?.trayId ?? null}, ${no}, ${new Date(by.at)}, ${by.memberId})
    on conflict (household_id, id) do nothing`;
}
