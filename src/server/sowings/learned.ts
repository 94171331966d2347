import type { Learned } from '../../core/growth/learned.ts';
import type { Gaussian } from '../../core/stats/gaussian.ts';
import { marksOf } from './derived.ts';
import type { YieldLearned } from '../../core/growth/yieldLearned.ts';
import type { ThirstLearned } from '../../core/water/thirst.ts';
import type { Tx } from '../db/connection.ts';

/** What trays taught, as the database gives it. */
export interface LearnedRow {
  ended: {
    crop_key: string;
    mean: number | null;
    variance: number | null;
    reliable_mean: number | null;
    reliable_variance: number | null;
    trays: number;
  }[];
  under_way: [
    id: string,
    cropKey: string | null,
    paceMean: number | null,
    paceVariance: number | null,
    thirstMean: number | null,
    thirstVariance: number | null,
    reliableMean: number | null,
    reliableVariance: number | null,
    cuesTold: number,
    cuesLeft: number,
    answersGiven: number,
    answersContradicted: number
  ][];
  cues: [told: number, left: number][];
  slips: [answers: number, contradicted: number];
  thirst_ended: { mean: number | null; variance: number };
  yields: { crop_key: string; mean: number; variance: number; trays: number }[];
}

/**
 * Six columns: the sowings that ended put together by crop (the product of their normal observations), how their household told
 * their cues and contradicted itself, what they said of how fast water goes and of yields, and those under way one by one. Blended seed teaches of no
 * crop alone.
 */
export const learnedColumns = (tx: Tx) => tx`
  coalesce((select json_agg(e) from (
      select crop_key, ${product(tx, 'pace')}, ${product(tx, 'reliable', 'reliable_')}, count(*)::int as trays
      from sowings where ended_at is not null and coalesce(pace_variance, reliable_variance) is not null and mix is null
      group by crop_key order by crop_key) e), '[]') as ended,
  (select json_build_array(${counted(tx, 1)}, ${counted(tx, 2)}, ${counted(tx, 4)})
    from sowings where ended_at is not null and mix is null) as cues,
  (select json_build_array(coalesce(sum(answers_given), 0)::int, coalesce(sum(answers_contradicted), 0)::int)
    from sowings where ended_at is not null and mix is null) as slips,
  coalesce((select json_agg(e) from (
      select crop_key, ${product(tx, 'yield')}, count(*)::int as trays
      from sowings where ended_at is not null and yield_variance is not null and mix is null
      group by crop_key order by crop_key) e), '[]') as yields,
  (select json_build_object('mean', round((sum(thirst_mean / thirst_variance) / sum(1 / thirst_variance))::numeric, 6),
      'variance', round((1 / sum(1 / thirst_variance))::numeric, 7))
    from sowings where ended_at is not null) as thirst_ended,
  coalesce((select json_agg(json_build_array(id, case when mix is null then crop_key end, pace_mean, pace_variance,
      thirst_mean, thirst_variance, reliable_mean, reliable_variance, cues_told, cues_left,
      answers_given, answers_contradicted) order by id)
    from sowings where ended_at is null
      and (coalesce(pace_variance, thirst_variance, reliable_variance) is not null or cues_told + cues_left > 0)), '[]') as under_way`;

/** Several normal observations of one thing as one: mean and variance. */
const product = (tx: Tx, of: 'pace' | 'reliable' | 'yield', as = '') => {
  const [mean, variance] = [tx(`${of}_mean`), tx(`${of}_variance`)];
  return tx`round((sum(${mean} / ${variance}) / sum(1 / ${variance}))::numeric, 6) as ${tx(`${as}mean`)},
    round((1 / sum(1 / ${variance}))::numeric, 7) as ${tx(`${as}variance`)}`;
};

/** In how many sowings a cue was told, and left. */
const counted = (tx: Tx, bit: 1 | 2 | 4) =>
  tx`json_build_array(count(*) filter (where cues_told & ${bit} > 0), count(*) filter (where cues_left & ${bit} > 0))`;

const gaussian = (mean: number | null, variance: number | null): Gaussian | null =>
  mean !== null && variance !== null ? { mean, variance } : null;

/** What trays taught of their crops' yields, from its row. */
const yieldsOf = ({ yields }: LearnedRow): YieldLearned =>
  yields.map(({ crop_key, mean, variance, trays }) => ({
    cropKey: crop_key,
    message: { mean, variance },
    trays
  }));

/** What trays taught of their crops' pace, from its row. */
const learnedOf = ({ ended, under_way, cues, slips }: LearnedRow): Learned => ({
  ended: ended.map((of) => ({
    cropKey: of.crop_key,
    message: gaussian(of.mean, of.variance),
    reliable: gaussian(of.reliable_mean, of.reliable_variance),
    trays: of.trays
  })),
  underWay: under_way.flatMap(
    ([
      sowingId,
      cropKey,
      mean,
      variance,
      ,
      ,
      reliableMean,
      reliableVariance,
      told,
      left,
      answers,
      contradicted
    ]) => {
      const [message, reliable] = [gaussian(mean, variance), gaussian(reliableMean, reliableVariance)];
      return cropKey !== null && (message !== null || reliable !== null || told + left > 0)
        ? [
            {
              sowingId,
              cropKey,
              message,
              reliable,
              cues: { told: marksOf(told), left: marksOf(left), slips: { answers, contradicted } }
            }
          ]
        : [];
    }
  ),
  cues,
  slips: { answers: slips[0], contradicted: slips[1] }
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
