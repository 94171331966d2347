import type { LossReason } from '../../core/sowing/event.ts';
import type { Millis, Zone } from '../../core/time/zone.ts';
import type { Tx } from '../db/connection.ts';
import { AREA_CM2 } from './area.ts';
import { calendarDays } from './calendarDays.ts';

/** A household's year in figures. */
export interface Year {
  /** A year of the calendar; null for the twelve months up to now. */
  year: number | null;
  /** Years in which anything was cut or lost. */
  years: number[];
  /** The twelve months in their order, as `YYYY-MM`. */
  names: string[];
  /** Grams by the month of the first cut, and by crop. */
  months: { month: string; cropKey: string; cutG: number }[];
  losses: { lost: LossReason; sowings: number }[];
  crops: {
    cropKey: string;
    sowings: number;
    lost: number;
    cutG: number;
    /** Mean over its weighed sowings. */
    perM2: number | null;
    days: number | null;
  }[];
  eatenG: number;
  givenG: number;
  thrownG: number;
}

/**
 * A year of the transaction's household, in days of its zone.
 * @param year of the calendar; null, or one in which there is nothing, for the twelve months up to now
 * @returns null where nothing was ever cut or lost
 */
export async function yearInFigures(
  tx: Tx,
  zone: Zone,
  year: number | null,
  now: Millis
): Promise<Year | null> {
  const years = (
    await tx<{ year: number }[]>`
      select distinct extract(year from coalesce(first_cut_at, ended_at) at time zone ${zone.id})::int as year from sowings
      where coalesce(first_cut_at, ended_at) is not null order by 1 desc`
  ).map((row) => row.year);
  if (years.length === 0) return null;
  const chosen = year !== null && years.includes(year) ? year : null;
  const today = zone.date(now);
  const first =
    chosen === null
      ? today.with({ day: 1 }).subtract({ months: 11 })
      : today.with({ year: chosen, month: 1, day: 1 });
  const [from, until] = [first, first.add({ months: 12 })].map((day) => new Date(zone.at(day, 0))) as [
    Date,
    Date
  ];
  const within = (column: string) => tx`${tx.unsafe(column)} >= ${from} and ${tx.unsafe(column)} < ${until}`;
  // What a sowing came to belongs to the day it was first cut, or else to the day it was lost.
  const came = 'coalesce(first_cut_at, ended_at)';
  const [months, losses, crops, [fate]] = await Promise.all([
    tx<Year['months']>`
      select to_char(first_cut_at at time zone ${zone.id}, 'YYYY-MM') as month, crop_key as "cropKey", sum(cut_g) as "cutG"
      from sowings where lost is null and ${within('first_cut_at')}
      group by 1, 2 order by 1, 2`,
    tx<Year['losses']>`
      select lost, count(*)::int as sowings from sowings
      where lost is not null and ${within(came)} group by lost order by 2 desc, 1`,
    tx<Year['crops']>`
      select s.crop_key as "cropKey", count(*)::int as sowings, count(s.lost)::int as lost,
        coalesce(sum(s.cut_g) filter (where s.lost is null), 0) as "cutG",
        avg(s.cut_g / ${tx.unsafe(AREA_CM2)} * 10000) filter (where s.lost is null and s.cut_g > 0) as "perM2",
        avg(${tx.unsafe(calendarDays('s.sown_at', 's.first_cut_at'))}) filter (where s.lost is null)::float8 as days
      from sowings s join containers c on c.household_id = s.household_id and c.id = s.container_id
      where s.sown_at is not null and ${within(came)}
      group by s.crop_key order by 4 desc, 1`,
    tx<{ eaten: number; given: number; thrown: number }[]>`
      select coalesce(sum(eaten_g), 0) as eaten, coalesce(sum(given_g), 0) as given, coalesce(sum(thrown_g), 0) as thrown
      from sowings where ${within('first_cut_at')}`
  ]);
  return {
    year: chosen,
    years,
    names: Array.from({ length: 12 }, (_, index) => first.add({ months: index }).toString().slice(0, 7)),
    months: [...months],
    losses: [...losses],
    crops: [...crops],
    eatenG: fate!.eaten,
    givenG: fate!.given,
    thrownG: fate!.thrown
  };
}
