import type { MediumStock, MediumKind } from '../../core/supplies/media/medium.ts';
import type { MediumPart } from '../../core/supplies/media/coir.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

export interface MediumRow {
  id: string;
  name: string;
  kind: MediumKind;
  swell_l_kg: number | null;
  parts: MediumPart[] | null;
}

/** A medium from its row. */
export const mediumOf = ({ id, name, kind, swell_l_kg, parts }: MediumRow): MediumStock => ({
  id,
  name,
  kind,
  swellLKg: swell_l_kg,
  parts
});

/** The household's own media. */
export async function listMedia(tx: Tx): Promise<MediumStock[]> {
  const rows = await tx<MediumRow[]>`select id, name, kind, swell_l_kg, parts from media
    where retired_at is null order by name`;
  return soundRows(tx, 'media', rows).map(mediumOf);
}

/** Adds a medium or changes it. */
export async function saveMedium(tx: Tx, householdId: string, medium: MediumStock): Promise<void> {
  await tx`insert into media (household_id, id, name, kind, swell_l_kg, parts)
    values (${householdId}, ${medium.id}, ${medium.name}, ${medium.kind}, ${medium.swellLKg},
      ${medium.parts === null ? null : tx.json(medium.parts as never)})
    on conflict (household_id, id) do update set name = excluded.name, kind = excluded.kind,
      swell_l_kg = excluded.swell_l_kg, parts = excluded.parts, retired_at = null`;
}

/** Puts a medium away; sowings on it keep it. */
export async function retireMedium(tx: Tx, id: string): Promise<void> {
  await tx`update media set retired_at = now() where id = ${id}`;
}
