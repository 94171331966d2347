import type { Household } from '../../core/sowing/household.ts';
import { cropsOf, type OwnCropRow } from '../crops/ownCrops.ts';
import { mediumOf, type MediumRow } from '../cupboard/media.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';
import { learnedColumns, lessonsOf, type LearnedRow } from '../sowings/learned.ts';
import {
  accountColumns,
  householdNow,
  readAccount,
  type AccountRow,
  type HouseholdAccount
} from './household.ts';
import { placesOf, type PlaceRow } from './places.ts';

/** A household as its sowings are followed, with what only the server knows of it. */
export type LoadedHousehold = HouseholdAccount & Household;

interface LoadedRow extends AccountRow, LearnedRow {
  places: PlaceRow[];
  own_crops: OwnCropRow[];
  media: MediumRow[];
  members: Record<string, string>;
}

/** The transaction's household, in one query: the round waits for it. */
export async function loadHousehold(tx: Tx): Promise<LoadedHousehold> {
  const [found] = await tx<LoadedRow[]>`
    select ${accountColumns(tx)},
      coalesce((select json_agg(p order by p.position, p.name) from places p), '[]') as places,
      coalesce((select json_agg(json_build_object('key', o.key, 'figures', o.figures, 'based_on', o.based_on) order by o.key)
        from own_crops o), '[]') as own_crops,
      coalesce((select json_agg(m order by m.name) from media m where m.retired_at is null
        or exists (select from sowings s where s.medium_id = m.id and s.ended_at is null)), '[]') as media,
      coalesce((select json_object_agg(id, p.name) from (
        select id, name from members union all select id, name from sitters) p), '{}') as members,
      ${learnedColumns(tx)}
    from households where household_id = current_household()`;
  const row = found!;
  const account = readAccount(tx, row);
  return {
    ...account,
    places: placesOf(tx, row.places, householdNow(account)),
    ownCrops: cropsOf(tx, row.own_crops).map(({ crop }) => crop),
    media: soundRows(tx, 'media', row.media).map(mediumOf),
    members: row.members,
    ...lessonsOf(row)
  };
}
