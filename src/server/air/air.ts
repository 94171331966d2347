import { BIN_MS, binIndex, binned } from '../../core/air/series.ts';
import type { Reading } from '../../core/air/reading.ts';
import type { Tx } from '../db/connection.ts';

/** From when on what was measured is wanted: a moment, or since the oldest sowing under way began. */
export type Since =
  | { since: number }
  /** And one that may have ended, whose time is to be covered too. */
  | { sowingId: string | null };

/**
 * What was measured since then, as JSON text by place. Put together as text: the database's own JSON functions
 * take twice as long over it, and the server only hands it on.
 */
export const airColumn = (tx: Tx, from: Since) => tx`
  '{' || coalesce((select string_agg('"' || place_id || '":[' || bins || ']', ',') from (
    select place_id, string_agg('[' || bin || ',' || deci_c || ',' || coalesce(humidity_pct::text, 'null') || ']', ',' order by bin) as bins
    from air where bin >= ${
      'since' in from
        ? binIndex(from.since)
        : tx`(select floor(extract(epoch from min(sow_at)) / ${BIN_MS / 1000}) - 1 from sowings
            where ended_at is null or id = ${from.sowingId})`
    }
    group by place_id) a), '') || '}'`;

/** The same by itself. */
export async function readAir(tx: Tx, from: Since): Promise<string> {
  const [row] = await tx<{ air: string }[]>`select ${airColumn(tx, from)} as air`;
  return row!.air;
}

/**
 * Adds readings of a place and writes the means of the stretches they lie in anew. Adding the same ones again
 * changes nothing.
 * @param source a device's id, `hand` or `file`
 * @returns how many were new
 */
export async function addReadings(
  tx: Tx,
  householdId: string,
  placeId: string,
  source: string,
  readings: readonly Reading[]
): Promise<number> {
  if (readings.length === 0) return 0;
  // Two of one moment, as a file may have, are one.
  const rows = [...new Map(readings.map((reading) => [reading.at, reading])).values()].map((reading) => ({
    household_id: householdId,
    place_id: placeId,
    at: new Date(reading.at),
    source,
    temp_c: reading.tempC,
    humidity_pct: reading.humidityPct
  }));
  let added = 0;
  for (let from = 0; from < rows.length; from += 5000) {
    const result = await tx`insert into readings ${tx(rows.slice(from, from + 5000))} on conflict do nothing`;
    added += result.count;
  }
  if (added > 0) {
    const bins = readings.map(({ at }) => binIndex(at));
    await settleAir(
      tx,
      householdId,
      placeId,
      bins.reduce((a, b) => Math.min(a, b)),
      bins.reduce((a, b) => Math.max(a, b))
    );
  }
  return added;
}

/** Writes the means of some stretches anew from the readings. */
async function settleAir(
  tx: Tx,
  householdId: string,
  placeId: string,
  first: number,
  last: number
): Promise<void> {
  const readings = await readingsBetween(tx, placeId, first * BIN_MS, (last + 1) * BIN_MS - 1);
  const rows = binned(readings).map(({ index, tempC, humidityPct }) => ({
    household_id: householdId,
    place_id: placeId,
    bin: index,
    deci_c: Math.round(tempC * 10),
    humidity_pct: humidityPct === null ? null : Math.round(humidityPct)
  }));
  for (let from = 0; from < rows.length; from += 5000)
    await tx`insert into air ${tx(rows.slice(from, from + 5000))}
      on conflict (household_id, place_id, bin) do update set deci_c = excluded.deci_c, humidity_pct = excluded.humidity_pct`;
}

/** The readings of a place between two moments, oldest first. */
export async function readingsBetween(
  tx: Tx,
  placeId: string,
  from: number,
  until: number
): Promise<Reading[]> {
  const rows = await tx<{ at: Date; temp_c: number; humidity_pct: number | null }[]>`
    select at, temp_c, humidity_pct from readings
    where place_id = ${placeId} and at between ${new Date(from)} and ${new Date(until)} order by at`;
  return rows.map(({ at, temp_c, humidity_pct }) => ({
    at: at.getTime(),
    tempC: temp_c,
    humidityPct: humidity_pct
  }));
}

/** The last reading of each place by source, and how many there are. */
export interface LastReading extends Reading {
  placeId: string;
  source: string;
}

/** The latest reading of each place and source. */
export async function lastReadings(tx: Tx): Promise<LastReading[]> {
  const rows = await tx<
    { place_id: string; source: string; at: Date; temp_c: number; humidity_pct: number | null }[]
  >`select p.id as place_id, r.source, r.at, r.temp_c, r.humidity_pct from places p
    cross join lateral (select distinct on (source) source, at, temp_c, humidity_pct from readings
      where household_id = p.household_id and place_id = p.id order by source, at desc) r`;
  return rows.map(({ place_id, source, at, temp_c, humidity_pct }) => ({
    placeId: place_id,
    source,
    at: at.getTime(),
    tempC: temp_c,
    humidityPct: humidity_pct
  }));
}
