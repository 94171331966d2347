import type { Learned } from '../../core/growth/learned.ts';
import type { ThirstLearned } from '../../core/water/thirst.ts';
import type { Tx } from '../db/connection.ts';

/** What trays taught, as the database gives it. */
export interface LearnedRow {
  ended: { crop_key: string; mean: number; variance: number; trays: number }[];
  under_way: [
    id: string,
    cropKey: string | null,
    paceMean: number | null,
    paceVariance: number | null,
    thirstMean: number | null,
    thirstVariance: number | null
  ][];
  thirst_ended: { mean: number | null; variance: number };
}

/**
 * Three columns: the sowings that ended put together by crop (the product of their normal observations), what
 * they said of how fast water goes, and those under way one by one. Blended seed teaches of no crop alone.
 */
export const learnedColumns = (tx: Tx) => tx`
  coalesce((select json_agg(e) from (
      select crop_key, round((sum(pace_mean / pace_variance) / sum(1 / pace_variance))::numeric, 6) as mean,
        round((1 / sum(1 / pace_variance))::numeric, 7) as variance, count(*)::int as trays
      from sowings where ended_at is not null and pace_variance is not null and mix is null
      group by crop_key order by crop_key) e), '[]') as ended,
  (select json_build_object('mean', round((sum(thirst_mean / thirst_variance) / sum(1 / thirst_variance))::numeric, 6),
      'variance', round((1 / sum(1 / thirst_variance))::numeric, 7))
    from sowings where ended_at is not null) as thirst_ended,
  coalesce((select json_agg(json_build_array(id, case when mix is null then crop_key end, pace_mean, pace_variance,
      thirst_mean, thirst_variance) order by id)
    from sowings where ended_at is null and coalesce(pace_variance, thirst_variance) is not null), '[]') as under_way`;

/** What trays taught of their crops' pace, from its row. */
export const learnedOf = ({ ended, under_way }: LearnedRow): Learned => ({
  ended: ended.map(({ crop_key, mean, variance, trays }) => ({
    cropKey: crop_key,
    message: { mean, variance },
    trays
  })),
  underWay: under_way.flatMap(([sowingId, cropKey, mean, variance]) =>
    cropKey !== null && mean !== null && variance !== null
      ? [{ sowingId, cropKey, message: { mean, variance } }]
      : []
  )
});

/** What trays taught of how fast water goes, from their row. */
export const thirstOf = ({ thirst_ended, under_way }: LearnedRow): ThirstLearned => ({
  ended: thirst_ended.mean === null ? null : { mean: thirst_ended.mean, variance: thirst_ended.variance },
  underWay: under_way.flatMap(([sowingId, , , , mean, variance]) =>
    mean !== null && variance !== null ? [{ sowingId, message: { mean, variance } }] : []
  )
});

/** What the household's trays have taught of its crops' pace and of how fast water goes. */
export async function listLessons(tx: Tx): Promise<{ learned: Learned; thirst: ThirstLearned }> {
  const [row] = await tx<LearnedRow[]>`select ${learnedColumns(tx)}`;
  return { learned: learnedOf(row!), thirst: thirstOf(row!) };
}

/** What they have taught of its crops' pace alone. */
export const listLearned = async (tx: Tx): Promise<Learned> => (await listLessons(tx)).learned;
