import { completedCrop, type Crop } from '../../core/crops/crop.ts';
import { CROPS, findCrop } from '../../core/crops/library.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

/** A crop the household added, or a library crop with its own figures. */
export interface OwnCrop {
  crop: Crop;
  /** The library's crop it was made from. */
  basedOn: string;
}

/** The household's own crops, those put away left out unless a sowing may still be of them. */
export async function listOwnCrops(tx: Tx, { retired = false } = {}): Promise<OwnCrop[]> {
  const rows = await tx<OwnCropRow[]>`select key, figures, based_on from own_crops
    where ${retired} or retired_at is null order by key`;
  return cropsOf(tx, rows);
}

export interface OwnCropRow {
  key: string;
  figures: Crop;
  based_on: string;
}

/** Own crops from their rows; one that cannot be read goes by the figures of the crop it was made from. */
export const cropsOf = (tx: Tx, rows: readonly OwnCropRow[]): OwnCrop[] =>
  soundRows(tx, 'own_crops', rows, ({ key, based_on, figures }) => {
    const base = findCrop(based_on) ?? CROPS[0]!;
    const name = typeof figures?.name === 'string' ? figures.name : base.name;
    return { key, based_on: base.key, figures: { ...base, key, name } };
  }).map(({ figures, based_on }) => ({ crop: completedCrop(figures), basedOn: based_on }));

/** The crops alone, with those put away: what following old sowings needs. */
export const ownCropsOf = async (tx: Tx): Promise<Crop[]> =>
  (await listOwnCrops(tx, { retired: true })).map(({ crop }) => crop);

/** Adds an own crop, or own figures for a library crop, or changes them. */
export async function saveOwnCrop(tx: Tx, householdId: string, { crop, basedOn }: OwnCrop): Promise<void> {
  await tx`insert into own_crops (household_id, key, based_on, figures)
    values (${householdId}, ${crop.key}, ${basedOn}, ${tx.json(crop as never)})
    on conflict (household_id, key) do update set figures = excluded.figures, based_on = excluded.based_on,
      retired_at = null`;
}

/** Puts an own crop away; sowings of it go on. Own figures of a library crop give way to the library's. */
export async function retireOwnCrop(tx: Tx, key: string): Promise<void> {
  await tx`update own_crops set retired_at = now() where key = ${key}`;
}
