import type { Container, ContainerStock, Shape } from '../../core/supplies/containers/container.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

export interface ContainerRow {
  name: string;
  shape: Shape;
  length_cm: number;
  width_cm: number;
  depth_cm: number;
  cells: number;
  reservoir_ml?: number | null;
  empty_g?: number | null;
}

/** A container from its columns. */
export function containerOf(row: ContainerRow): Container {
  return {
    name: row.name,
    shape: row.shape,
    lengthCm: row.length_cm,
    widthCm: row.width_cm,
    depthCm: row.depth_cm,
    cells: row.cells,
    ...(row.reservoir_ml ? { reservoirMl: row.reservoir_ml } : {}),
    ...(row.empty_g ? { emptyG: row.empty_g } : {})
  };
}

/** Rows with a container in them; where that cannot be read, a usual tray stands in. */
export const soundContainers = <R extends ContainerRow>(tx: Tx, rows: readonly R[]): R[] =>
  soundRows(tx, 'containers', rows, (row) => ({ ...row, ...USUAL_TRAY, name: String(row.name) }), columnsOf);

/** What a row has of its container, which is all that is judged of it. */
const columnsOf = ({ name, shape, length_cm, width_cm, depth_cm, cells, ...rest }: ContainerRow): object => {
  const { reservoir_ml, empty_g, drains, owned } = rest as Partial<StockRow>;
  return { name, shape, length_cm, width_cm, depth_cm, cells, reservoir_ml, empty_g, drains, owned };
};

const USUAL_TRAY: Omit<ContainerRow, 'name'> = {
  shape: 'rectangle',
  length_cm: 25,
  width_cm: 18,
  depth_cm: 5,
  cells: 1,
  reservoir_ml: null,
  empty_g: null
};

/** The household's containers, those used last first. */
export async function listContainers(tx: Tx): Promise<Container[]> {
  const rows = await tx<ContainerRow[]>`
    select c.* from containers c
    left join (select container_id, max(created_at) as used_at from sowings group by container_id) s on s.container_id = c.id
    where c.retired_at is null
    order by s.used_at desc nulls last, c.name`;
  return soundContainers(tx, rows).map(containerOf);
}

/** The id of the household's container of that shape and size, added under `id` where it has none. */
export async function saveContainer(
  tx: Tx,
  householdId: string,
  id: string,
  container: Container
): Promise<string> {
  const { name, shape, lengthCm, widthCm, depthCm, cells } = container;
  await tx`insert into containers (household_id, id, name, shape, length_cm, width_cm, depth_cm, cells)
    values (${householdId}, ${id}, ${name}, ${shape}, ${lengthCm}, ${widthCm}, ${depthCm}, ${cells})
    on conflict do nothing`;
  const [row] = await tx<
    { id: string }[]
  >`select id from containers where shape = ${shape} and length_cm = ${lengthCm}
    and width_cm = ${widthCm} and depth_cm = ${depthCm} and cells = ${cells}`;
  // Sown in again, a container that was put away is back.
  await tx`update containers set retired_at = null where id = ${row!.id} and retired_at is not null`;
  return row!.id;
}

interface StockRow extends ContainerRow {
  id: string;
  drains: boolean;
  owned: number | null;
  in_use: number;
  to_clean: number;
}

/** The household's containers with what is kept about each, and how many stand under sowings now or wait to be cleaned. */
export async function listContainerStock(tx: Tx): Promise<ContainerStock[]> {
  const rows = await tx<StockRow[]>`
    select c.*, coalesce(used.containers, 0)::float8 as in_use, coalesce(used.to_clean, 0)::float8 as to_clean
    from containers c left join (
      select container_id, sum(containers) as containers, sum(containers) filter (where emptied) as to_clean
      from (select container_id, max(count) as containers, bool_and(ended_at is not null) as emptied
        from sowings where ended_at is null or to_clean
        group by container_id, coalesce(tray_id, id)) tray
      group by container_id) used on used.container_id = c.id
    where c.retired_at is null order by c.name`;
  return soundContainers(tx, rows).map((row) => ({
    ...containerOf(row),
    id: row.id,
    emptyG: row.empty_g ?? null,
    drains: row.drains,
    reservoirMl: row.reservoir_ml ?? null,
    owned: row.owned,
    inUse: row.in_use,
    toClean: row.to_clean
  }));
}

/** Changes what is kept about a container; its size stays, for sowings stand in it. */
export async function changeContainer(
  tx: Tx,
  {
    id,
    name,
    emptyG,
    drains,
    reservoirMl,
    owned
  }: Pick<ContainerStock, 'id' | 'name' | 'emptyG' | 'drains' | 'reservoirMl' | 'owned'>
): Promise<void> {
  await tx`update containers set name = ${name}, empty_g = ${emptyG}, drains = ${drains},
    reservoir_ml = ${reservoirMl}, owned = ${owned} where id = ${id}`;
}

/** Puts a container away: it is not offered any more. */
export async function retireContainer(tx: Tx, id: string): Promise<void> {
  await tx`update containers set retired_at = now() where id = ${id}`;
}
