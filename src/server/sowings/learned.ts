import type { CropLearned, Learned } from '../../core/growth/learned.ts';
import type { YieldLearned } from '../../core/growth/yieldLearned.ts';
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
  yields: { crop_key: string; mean: number; variance: number; trays: number }[];
}

/**
 * Four columns: the sowings that ended put together by crop (the product of their normal observations), what
 * they said of how fast water goes and of yields, and those under way one by one. Blended seed teaches of no crop alone.
 */
export const learnedColumns = (tx: Tx) => tx`
  ${byCrop(tx, 'pace')} as ended,
  ${byCrop(tx, 'yield')} as yields,
  (select json_build_object('mean', round((sum(thirst_mean / thirst_variance) / sum(1 / thirst_variance))::numeric, 6),
      'variance', round((1 / sum(1 / thirst_variance))::numeric, 7))
    from sowings where ended_at is not null) as thirst_ended,
  coalesce((select json_agg(json_build_array(id, case when mix is null then crop_key end, pace_mean, pace_variance,
      thirst_mean, thirst_variance) order by id)
    from sowings where ended_at is null and coalesce(pace_variance, thirst_variance) is not null), '[]') as under_way`;

/** What the sowings that ended said together of one thing, crop by crop. */
const byCrop = (tx: Tx, of: 'pace' | 'yield') => {
  const [mean, variance] = [tx(`${of}_mean`), tx(`${of}_variance`)];
  return tx`coalesce((select json_agg(e) from (
      select crop_key, round((sum(${mean} / ${variance}) / sum(1 / ${variance}))::numeric, 6) as mean,
        round((1 / sum(1 / ${variance}))::numeric, 7) as variance, count(*)::int as trays
      from sowings where ended_at is not null and ${variance} is not null and mix is null
      group by crop_key order by crop_key) e), '[]')`;
};

const cropOf = ({ crop_key, mean, variance, trays }: LearnedRow['ended'][number]): CropLearned => ({
  cropKey: crop_key,
  message: { mean, variance },
  trays
});

/** What trays taught of their crops' yields, from its row. */
const yieldsOf = ({ yields }: LearnedRow): YieldLearned => yields.map(cropOf);

/** What trays taught of their crops' pace, from its row. */
const learnedOf = ({ ended, under_way }: LearnedRow): Learned => ({
  ended: ended.map(cropOf),
  underWay: under_way.flatMap(([sowingId, cropKey, mean, variance]) =>
    cropKey !== null && mean !== null && variance !== null
      ? [{ sowingId, cropKey, message: { mean, variance } }]
      : []
  )
});

/** What trays taught of how fast water goes, from their row. */
const thirstOf = ({ thirst_ended, under_way }: LearnedRow): ThirstLearned => ({
  ended: thirst_ended.mean === null ? null : { mean: thirst_ended.mean, variance: thirst_ended.variance },
  underWay: under_way.flatMap(([sowingId, , , , mean, variance]) =>
    mean !== null && variance !== null ? [{ sowingId, message: { mean, variance } }] : []
  )
});

/** What the household's trays have taught: of its crops' pace, of how fast water goes, and of its yields. */
export interface Lessons {
  learned: Learned;
  thirst: ThirstLearned;
  yields: YieldLearned;
}

export const lessonsOf = (row: LearnedRow): Lessons => ({
  learned: learnedOf(row),
  thirst: thirstOf(row),
  yields: yieldsOf(row)
});

/** What the transaction's household has been taught. */
export async function listLessons(tx: Tx): Promise<Lessons> {
  const [row] = await tx<LearnedRow[]>`select ${learnedColumns(tx)}`;
  return lessonsOf(row!);
}
