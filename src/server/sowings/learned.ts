import type { Learned } from '../../core/window/learned.ts';
import type { ThirstLearned } from '../../core/water/thirst.ts';
import type { Tx } from '../db/connection.ts';

/** What trays taught, as the database gives it. */
export interface LearnedRow {
  ended: { crop_key: string; mean: number; variance: number; trays: number }[];
  under_way: { id: string; crop_key: string; pace_mean: number; pace_variance: number }[];
  thirst_ended: { mean: number; variance: number } | null;
  thirst_under_way: { id: string; mean: number; variance: number }[];
}

/**
 * Four columns, two for pace and two for thirst: the sowings that ended put together by crop (the product of their normal observations), and
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
      where ended_at is null and pace_variance is not null and mix is null order by id) u), '[]') as under_way,
  (select json_build_object('mean', sum(thirst_mean / thirst_variance) / sum(1 / thirst_variance),
      'variance', 1 / sum(1 / thirst_variance))
    from sowings where ended_at is not null and thirst_variance is not null having count(*) > 0) as thirst_ended,
  coalesce((select json_agg(json_build_object('id', id, 'mean', thirst_mean, 'variance', thirst_variance) order by id)
    from sowings where ended_at is null and thirst_variance is not null), '[]') as thirst_under_way`;

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

/** What trays taught of how fast water goes, from their row. */
export const thirstOf = ({ thirst_ended, thirst_under_way }: LearnedRow): ThirstLearned => ({
  ended: thirst_ended,
  underWay: thirst_under_way.map(({ id, mean, variance }) => ({ sowingId: id, message: { mean, variance } }))
});

/** What the household's trays have taught of its crops' pace and of how fast water goes. */
export async function listLessons(tx: Tx): Promise<{ learned: Learned; thirst: ThirstLearned }> {
  const [row] = await tx<LearnedRow[]>`select ${learnedColumns(tx)}`;
  return { learned: learnedOf(row!), thirst: thirstOf(row!) };
}

/** What they have taught of its crops' pace alone. */
export const listLearned = async (tx: Tx): Promise<Learned> => (await listLessons(tx)).learned;
