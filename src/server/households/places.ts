import { changedUsual, type Place, type PlaceLight, type SaidBefore } from '../../core/places/place.ts';
import type { Aspect } from '../../core/places/light.ts';
import { measuredBy } from '../../core/places/air/silence.ts';
import type { Millis } from '../../core/time/zone.ts';
import { soundRows } from '../data/sound.ts';
import type { Tx } from '../db/connection.ts';

/** Columns of `places` as the database gives them. */
export interface PlaceRow {
  id: string;
  name: string;
  light_kind: PlaceLight['kind'];
  lamp_ppfd: number | null;
  lamp_hours: number | null;
  lamp_watts: number | null;
  lamp_distance_cm: number | null;
  sill_aspect: Aspect | null;
  sill_back: boolean | null;
  day_c: number;
  night_c: number;
  humidity_pct: number;
  moving_air: boolean;
  width_cm: number | null;
  depth_cm: number | null;
  rated_g: number | null;
  rating_sure: boolean;
  usual_before: SaidBefore[] | null;
  air: string | null;
}

function lightOf(row: PlaceRow): PlaceLight {
  switch (row.light_kind) {
    case 'lamp':
      return {
        kind: 'lamp',
        ppfd: row.lamp_ppfd!,
        hours: row.lamp_hours!,
        watts: row.lamp_watts,
        distanceCm: row.lamp_distance_cm
      };
    case 'sill':
      return { kind: 'sill', aspect: row.sill_aspect!, back: row.sill_back! };
    case 'dark':
      return { kind: 'dark' };
  }
}

const placeOf = (row: PlaceRow, now: Millis): Place => ({
  id: row.id,
  name: row.name,
  light: lightOf(row),
  dayC: row.day_c,
  nightC: row.night_c,
  humidityPct: row.humidity_pct,
  movingAir: row.moving_air,
  widthCm: row.width_cm,
  depthCm: row.depth_cm,
  ratedG: row.rated_g,
  ratingSure: row.rating_sure,
  ...(row.usual_before ? { usualBefore: row.usual_before } : {}),
  ...(row.air ? measuredBy(row.air, now) : {})
});

/**
 * The household's places, in the order a round passes them.
 * @param now the household's time: a sensor that has been silent since then counts less
 */
export async function listPlaces(tx: Tx, now: Millis = Date.now()): Promise<Place[]> {
  const rows = await tx<PlaceRow[]>`select * from places order by position, name`;
  return placesOf(tx, rows, now);
}

/** Places from their rows; what cannot be read of one gives way to what is usual in a kitchen. */
export const placesOf = (tx: Tx, rows: readonly PlaceRow[], now: Millis): Place[] =>
  soundRows(
    tx,
    'places',
    rows,
    (row) => ({ ...USUAL, id: row.id, name: String(row.name) }),
    // What was measured there changes all the time, and is packed by Brote itself.
    ({ air: _air, ...row }) => row
  ).map((row) => placeOf(row, now));

const USUAL: Omit<PlaceRow, 'id' | 'name'> = {
  light_kind: 'sill',
  lamp_ppfd: null,
  lamp_hours: null,
  lamp_watts: null,
  lamp_distance_cm: null,
  sill_aspect: 'side',
  sill_back: false,
  day_c: 21,
  night_c: 18,
  humidity_pct: 50,
  moving_air: false,
  width_cm: null,
  depth_cm: null,
  rated_g: null,
  rating_sure: false,
  usual_before: null,
  air: null
};

const columnsOf = (place: Place) => {
  const lamp = place.light.kind === 'lamp' ? place.light : null;
  const sill = place.light.kind === 'sill' ? place.light : null;
  return {
    name: place.name,
    light_kind: place.light.kind,
    lamp_ppfd: lamp?.ppfd ?? null,
    lamp_hours: lamp?.hours ?? null,
    lamp_watts: lamp?.watts ?? null,
    lamp_distance_cm: lamp?.distanceCm ?? null,
    sill_aspect: sill?.aspect ?? null,
    sill_back: sill?.back ?? null,
    day_c: place.dayC,
    night_c: place.nightC,
    humidity_pct: place.humidityPct,
    moving_air: place.movingAir,
    width_cm: place.widthCm ?? null,
    depth_cm: place.depthCm ?? null,
    rated_g: place.ratedG ?? null,
    rating_sure: place.ratingSure ?? false
  };
};

/** Any number, the same in every process: a household's places are changed by one at a time. */
const PLACES_LOCK = 4_180_231;

/** Adds a place at the end of the round, or leaves it as it is where its id is known. */
export async function addPlace(tx: Tx, householdId: string, place: Place): Promise<void> {
  const [last] = await tx<
    { position: number }[]
  >`select coalesce(max(position), 0)::int as position from places`;
  const row = { household_id: householdId, id: place.id, position: last!.position + 1, ...columnsOf(place) };
  await tx`insert into places ${tx(row)} on conflict (household_id, id) do nothing`;
}

/**
 * Changes what is known of a place, from now on; adds it where it is new.
 * @param now the household's time
 */
export async function savePlace(tx: Tx, householdId: string, place: Place, now: number): Promise<void> {
  // One after the other, for whoever saves a place may move the others: locked row by row, two would wait each for the other.
  await tx`select pg_advisory_xact_lock(hashtextextended(${`places ${householdId}`}, ${PLACES_LOCK}))`;
  await addPlace(tx, householdId, place);
  // Who sends readings holds the place while they are taken.
  await tx`select 1 from places where id = ${place.id} for no key update`;
  const before = (await listPlaces(tx)).find(({ id }) => id === place.id)!;
  const usualBefore = changedUsual(before, place, now);
  const columns = {
    ...columnsOf(place),
    usual_before: usualBefore === null ? null : tx.json(usualBefore as never)
  };
  await tx`update places set ${tx(columns)} where id = ${place.id}`;
}

/** Says that a place's rating holds, for more than it was taken to carry. */
export async function sureOfRating(tx: Tx, id: string): Promise<void> {
  await tx`update places set rating_sure = true where id = ${id}`;
}

/** Puts the places into the order a round passes them. */
export async function orderPlaces(tx: Tx, ids: readonly string[]): Promise<void> {
  for (const [index, id] of ids.entries())
    await tx`update places set position = ${index + 1} where id = ${id}`;
}
