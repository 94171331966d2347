import type { Place } from '../../core/places/place.ts';
import type { Crop } from '../../core/crops/crop.ts';
import type { KeptMedium } from '../../core/supplies/media/medium.ts';
import { cropsOf, type OwnCropRow } from '../crops/ownCrops.ts';
import { mediumOf, type MediumRow } from '../cupboard/media.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';
import { learnedColumns, lessonsOf, type LearnedRow, type Lessons } from '../sowings/learned.ts';
import { placesOf, type PlaceRow } from './places.ts';

/** What every page that follows trays needs to know of its household. */
export interface HouseholdBook extends Lessons {
  places: Place[];
  /** Own crops that any sowing is of. */
  ownCrops: Crop[];
  /** The household's own media, those put away only where something stands on them. */
  media: KeptMedium[];
  /** Names by id. */
  members: Record<string, string>;
}

interface BookRow extends LearnedRow {
  places: PlaceRow[];
  own_crops: OwnCropRow[];
  media: MediumRow[];
  members: Record<string, string>;
}

/** The book of the transaction's household, in one query: the round waits for it. */
export async function readBook(tx: Tx): Promise<HouseholdBook> {
  const [row] = await tx<BookRow[]>`
    select
      coalesce((select json_agg(p order by p.position, p.name)
        from (select places.*, h.clock_ahead_ms from places join households h using (household_id)) p), '[]') as places,
      coalesce((select json_agg(json_build_object('key', o.key, 'figures', o.figures, 'based_on', o.based_on) order by o.key) from own_crops o
        where exists (select from sowings s where s.crop_key = o.key or s.mix is not null)), '[]') as own_crops,
      coalesce((select json_agg(m order by m.name) from media m where m.retired_at is null
        or exists (select from sowings s where s.medium_id = m.id and s.ended_at is null)), '[]') as media,
      coalesce((select json_object_agg(id, name) from (
        select id, name from members union all select id, name from sitters) people), '{}') as members,
      ${learnedColumns(tx)}`;
  return {
    places: placesOf(tx, row!.places),
    ownCrops: cropsOf(tx, row!.own_crops).map(({ crop }) => crop),
    media: soundRows(tx, 'media', row!.media).map(mediumOf),
    members: row!.members,
    ...lessonsOf(row!)
  };
}
