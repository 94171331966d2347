import type { Place, PlaceLight } from '../../core/clock/place.ts';
import type { Aspect } from '../../core/clock/light.ts';
import type { Tx } from '../db/connection.ts';

/** Columns of `places` as the database gives them. */
export interface PlaceRow {
  id: string;
  name: string;
  light_kind: 'lamp' | 'sill';
  lamp_ppfd: number | null;
  lamp_hours: number | null;
  sill_aspect: Aspect | null;
  sill_back: boolean | null;
  day_c: number;
  night_c: number;
  humidity_pct: number;
  moving_air: boolean;
}

/** A place from its row. */
export function placeOf(row: PlaceRow): Place {
  const light: PlaceLight =
    row.light_kind === 'lamp'
      ? { kind: 'lamp', ppfd: row.lamp_ppfd!, hours: row.lamp_hours! }
      : { kind: 'sill', aspect: row.sill_aspect!, back: row.sill_back! };
  return {
    id: row.id,
    name: row.name,
    light,
    dayC: row.day_c,
    nightC: row.night_c,
    humidityPct: row.humidity_pct,
    movingAir: row.moving_air
  };
}

/** The household's places, in the order a round passes them. */
export async function listPlaces(tx: Tx): Promise<Place[]> {
  return (await tx<PlaceRow[]>`select * from places order by position, name`).map(placeOf);
}

/** Adds a place at the end of the round, or leaves it as it is where its id is known. */
export async function addPlace(tx: Tx, householdId: string, place: Place): Promise<void> {
  const { light } = place;
  const lamp = light.kind === 'lamp' ? light : null;
  const sill = light.kind === 'sill' ? light : null;
  await tx`insert into places (household_id, id, name, position, light_kind, lamp_ppfd, lamp_hours, sill_aspect, sill_back,
      day_c, night_c, humidity_pct, moving_air)
    values (${householdId}, ${place.id}, ${place.name}, (select coalesce(max(position), 0) + 1 from places), ${light.kind},
      ${lamp?.ppfd ?? null}, ${lamp?.hours ?? null}, ${sill?.aspect ?? null}, ${sill?.back ?? null},
      ${place.dayC}, ${place.nightC}, ${place.humidityPct}, ${place.movingAir})
    on conflict (household_id, id) do nothing`;
}
