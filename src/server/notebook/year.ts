import type { LossReason } from '../../core/sowing/event.ts';
import type { Tx } from '../db/connection.ts';
import { AREA_CM2 } from './area.ts';

/** A household's year in figures. */
export interface Year {
  year: number;
  /** Years in which anything was sown. */
  years: number[];
  /** Grams by the month of the first cut, 1 to 12, and by crop. */
  months: { month: number; cropKey: string; cutG: number }[];
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
 * The year of the transaction's household, in days of its zone.
 * @param year null for the latest in which anything was sown
 */
export async function yearInFigures(tx: Tx, zone: string, year: number | null): Promise<Year | null> {
  const years = (
    await tx<{ year: number }[]>`
      select distinct extract(year from sown_at at time zone ${zone})::int as year from sowings
      where sown_at is not null order by 1 desc`
  ).map((row) => row.year);
  const chosen = year !== null && years.includes(year) ? year : years[0];
  if (chosen === undefined) return null;
  const inYear = (column: string) =>
    tx`extract(year from ${tx.unsafe(column)} at time zone ${zone})::int = ${chosen}`;
  const [months, losses, crops, [fate]] = await Promise.all([
    tx<Year['months']>`
      select extract(month from first_cut_at at time zone ${zone})::int as month, crop_key as "cropKey", sum(cut_g) as "cutG"
      from sowings where first_cut_at is not null and lost is null and ${inYear('first_cut_at')}
      group by 1, 2 order by 1, 2`,
    tx<Year['losses']>`
      select lost, count(*)::int as sowings from sowings
      where lost is not null and ${inYear('ended_at')} group by lost order by 2 desc, 1`,
    tx<Year['crops']>`
      select s.crop_key as "cropKey", count(*)::int as sowings, count(s.lost)::int as lost,
        coalesce(sum(s.cut_g) filter (where s.lost is null), 0) as "cutG",
        avg(s.cut_g / ${tx.unsafe(AREA_CM2)} * 10000) filter (where s.lost is null and s.cut_g > 0) as "perM2",
        avg(extract(epoch from s.ended_at - s.sown_at) / 86400) filter (where s.lost is null and s.ended_at is not null)::float8 as days
      from sowings s join containers c on c.household_id = s.household_id and c.id = s.container_id
      where s.sown_at is not null and ${inYear('s.sown_at')}
      group by s.crop_key order by 4 desc, 1`,
    tx<{ eaten: number; given: number; thrown: number }[]>`
      select coalesce(sum(eaten_g), 0) as eaten, coalesce(sum(given_g), 0) as given, coalesce(sum(thrown_g), 0) as thrown
      from sowings where first_cut_at is not null and ${inYear('first_cut_at')}`
  ]);
  return {
    year: chosen,
    years,
    months: [...months],
    losses: [...losses],
    crops: [...crops],
    eatenG: fate!.eaten,
    givenG: fate!.given,
    thrownG: fate!.thrown
  };
}
