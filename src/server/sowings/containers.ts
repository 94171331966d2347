import type { Container, Shape } from '../../core/containers/container.ts';
import type { Tx } from '../db/connection.ts';

export interface ContainerRow {
  name: string;
  shape: Shape;
  length_cm: number;
  width_cm: number;
  depth_cm: number;
  cells: number;
}

/** A container from its columns. */
export function containerOf(row: ContainerRow): Container {
  return {
    name: row.name,
    shape: row.shape,
    lengthCm: row.length_cm,
    widthCm: row.width_cm,
    depthCm: row.depth_cm,
    cells: row.cells
  };
}

/** The household's containers, those used last first. */
export async function listContainers(tx: Tx): Promise<Container[]> {
  const rows = await tx<ContainerRow[]>`
    select c.* from containers c
    left join (select container_id, max(created_at) as used_at from sowings group by container_id) s on s.container_id = c.id
    order by s.used_at desc nulls last, c.name`;
  return rows.map(containerOf);
}

/** The id of the household's container of that shape and size, added under `id` where it has none. */
export async function keepContainer(
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
  return row!.id;
}
