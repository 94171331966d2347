import { BIN_MS, binIndex, binned, packAir, type AirBin } from '../../core/places/air/series.ts';
import { OLDEST_READING_H, type Reading } from '../../core/places/air/reading.ts';
import { DAY } from '../../core/time/zone.ts';
import { outside, type Tx } from '../db/connection.ts';

/** A place carries what was measured within these days: longer than any tray but the slowest stands. */
export const CARRIED_D = 35;

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
  // One after the other: two devices in one place must not work out its means past each other.
  await tx`select 1 from places where id = ${placeId} for no key update`;
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

/** How many stretches are gone through at once: some thousand readings of a sensor that sends every minute. */
const SETTLED_BINS = 40;

/** Works out the means of some stretches again from the readings, and copies the latest ones to the place. */
async function settleAir(
  tx: Tx,
  householdId: string,
  placeId: string,
  first: number,
  last: number
): Promise<void> {
  for (let bin: number | null = first; bin !== null && bin <= last;) {
    const end: number = Math.min(bin + SETTLED_BINS - 1, last);
    await settleBins(tx, householdId, placeId, bin, end);
    bin = await measuredFrom(tx, placeId, end + 1);
  }
  await settlePlace(tx, placeId);
}

async function settleBins(
  tx: Tx,
  householdId: string,
  placeId: string,
  first: number,
  last: number
): Promise<void> {
  const readings = await readingsBetween(tx, placeId, first * BIN_MS, (last + 1) * BIN_MS - 1);
  if (readings.length === 0) return;
  const rows = binned(readings).map(({ index, tempC, humidityPct }) => ({
    household_id: householdId,
    place_id: placeId,
    bin: index,
    deci_c: Math.round(tempC * 10),
    humidity_pct: humidityPct === null ? null : Math.round(humidityPct)
  }));
  await tx`insert into air ${tx(rows)}
    on conflict (household_id, place_id, bin) do update set deci_c = excluded.deci_c, humidity_pct = excluded.humidity_pct`;
}

/** The first stretch from one on in which anything was measured; null for none. */
async function measuredFrom(tx: Tx, placeId: string, bin: number): Promise<number | null> {
  const [row] = await tx<{ at: Date | null }[]>`
    select min(at) as at from readings where place_id = ${placeId} and at >= ${new Date(bin * BIN_MS)}`;
  return row?.at ? binIndex(row.at.getTime()) : null;
}

/** Works the means of all places out again from their readings, as where many were imported at once. */
export async function settleAllAir(tx: Tx, householdId: string): Promise<void> {
  await tx`update places set thinned_until = null where thinned_until is not null`;
  const places = await tx<{ place_id: string; first: Date; last: Date }[]>`
    select place_id, min(at) as first, max(at) as last from readings group by place_id`;
  for (const { place_id, first, last } of places)
    await settleAir(tx, householdId, place_id, binIndex(first.getTime()), binIndex(last.getTime()));
}

/** The means of a place between two moments, oldest first. */
export async function airBetween(tx: Tx, placeId: string, from: number, until: number): Promise<AirBin[]> {
  const rows = await tx<{ bin: number; deci_c: number; humidity_pct: number | null }[]>`
    select bin, deci_c, humidity_pct from air
    where place_id = ${placeId} and bin between ${binIndex(from)} and ${binIndex(until)} order by bin`;
  return rows.map(({ bin, deci_c, humidity_pct }) => ({
    index: bin,
    tempC: deci_c / 10,
    humidityPct: humidity_pct
  }));
}

/** Writes what was measured at a place of late onto the place itself, for whoever reads its places. */
async function settlePlace(tx: Tx, placeId: string): Promise<void> {
  const [last] = await tx<
    { bin: number | null }[]
  >`select max(bin) as bin from air where place_id = ${placeId}`;
  if (!last?.bin) return;
  const until = (last.bin + 1) * BIN_MS - 1;
  const bins = await airBetween(tx, placeId, until - CARRIED_D * DAY, until);
  await tx`update places set air = ${packAir(bins)} where id = ${placeId}`;
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

/** The latest reading of each place and source, each found by an index: there may be a million readings. */
export async function lastReadings(tx: Tx): Promise<LastReading[]> {
  const rows = await tx<
    { place_id: string; source: string; at: Date; temp_c: number; humidity_pct: number | null }[]
  >`select p.id as place_id, s.source, r.at, r.temp_c, r.humidity_pct
    from places p
    cross join (select id::text as source from devices union all values ('hand'), ('file')) s
    cross join lateral (select at, temp_c, humidity_pct from readings
      where household_id = p.household_id and place_id = p.id and source = s.source order by at desc limit 1) r`;
  return rows.map(({ place_id, source, at, temp_c, humidity_pct }) => ({
    placeId: place_id,
    source,
    at: at.getTime(),
    tempC: temp_c,
    humidityPct: humidity_pct
  }));
}

/** Readings older than this are thinned to hourly means: any device could have sent them again until then. */
export const THINNED_AFTER_D = OLDEST_READING_H / 24;
/** Days of a place that are thinned in one statement. */
const THINNED_DAYS = 30;

/**
 * Thins the old readings of the place that waits longest, of whichever household.
 * @returns whether there was one
 */
export async function thinReadings(now: number): Promise<boolean> {
  const before = new Date(now - THINNED_AFTER_D * DAY);
  const [row] = await outside(
    (sql) => sql<{ thinned: boolean }[]>`select thin_readings(${before}, ${THINNED_DAYS}) as thinned`
  );
  return row!.thinned;
}
