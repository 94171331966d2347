import type { Learned } from '../../core/window/learned.ts';
import type { Tx } from '../db/connection.ts';

/** What trays taught, as the database gives it. */
export interface LearnedRow {
  ended: { crop_key: string; mean: number; variance: number; trays: number }[];
  under_way: { id: string; crop_key: string; pace_mean: number; pace_variance: number }[];
}

/**
 * Two columns: the sowings that ended put together by crop (the product of their normal observations), and
 * those under way one by one. Blended seed teaches of no crop alone.
 */
export const learnedColumns = (tx: Tx) => tx`
  coalesce((select json_agg(e) from (
      select crop_key, sum(pace_mean / pace_variance) / sum(1 / pace_variance) as mean,
        1 / sum(1 / pace_variance) as variance, count(*)::int as trays
      from sowings where ended_at is not null and pace_variance is not null and mix is null
      group by crop_key order by crop_key) e), '[]') as ended,
  coalesce((select json_agg(u) from (
      select id, crop_key, pace_mean, pace_variance from sowings
      where ended_at is null and pace_variance is not null and mix is null order by id) u), '[]') as under_way`;

/** What trays taught, from its row. */
export const learnedOf = ({ ended, under_way }: LearnedRow): Learned => ({
  ended: ended.map(({ crop_key, mean, variance, trays }) => ({
    cropKey: crop_key,
    message: { mean, variance },
    trays
  })),
  underWay: under_way.map(({ id, crop_key, pace_mean, pace_variance }) => ({
    sowingId: id,
    cropKey: crop_key,
    message: { mean: pace_mean, variance: pace_variance }
  }))
});

/** What the household's trays have taught. */
export async function listLearned(tx: Tx): Promise<Learned> {
  const [row] = await tx<LearnedRow[]>`select ${learnedColumns(tx)}`;
  return learnedOf(row!);
}
