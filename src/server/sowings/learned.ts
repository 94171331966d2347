import type { Learned } from '../../core/growth/learned.ts';
import type { Gaussian } from '../../core/stats/gaussian.ts';
import { marksOf } from './derived.ts';
import type { YieldLearned } from '../../core/growth/yieldLearned.ts';
import type { ThirstLearned } from '../../core/water/thirst.ts';
import type { Lessons } from '../../core/sowing/household.ts';
import type { Tx } from '../db/connection.ts';

/** What trays taught, as the database gives it. */
export interface LearnedRow {
  taught: {
    ended: {
      crop_key: string;
      mean: number | null;
      variance: number | null;
      reliable_mean: number | null;
      reliable_variance: number | null;
      trays: number;
    }[];
    cues: [told: number, left: number][];
    slips: [answers: number, contradicted: number];
    thirst: { mean: number | null; variance: number };
    yields: { crop_key: string; mean: number; variance: number; trays: number }[];
  };
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
}

/**
 * Two columns. What the sowings that ended taught, gathered by crop in one pass over them, for a notebook grows over years:
 * of pace and yields (the product of their normal observations), of how their household told its cues and contradicted
 * itself, and of how fast water goes. And what those under way teach, one by one. Blended seed teaches of no crop alone.
 */
export const learnedColumns = (tx: Tx) => tx`
  (with by_crop as materialized (
      select crop_key, mix is null as alone, ${product(tx, 'pace')}, ${product(tx, 'reliable')}, ${product(tx, 'yield')},
        count(*) filter (where coalesce(pace_variance, reliable_variance) is not null)::int as paced,
        count(yield_variance)::int as weighed,
        ${counted(tx, 'told', 1)}, ${counted(tx, 'told', 2)}, ${counted(tx, 'told', 4)},
        ${counted(tx, 'left', 1)}, ${counted(tx, 'left', 2)}, ${counted(tx, 'left', 4)},
        sum(answers_given) as answers, sum(answers_contradicted) as contradicted,
        sum(thirst_mean / thirst_variance) as thirst_sum, sum(1 / thirst_variance) as thirst_weight
      from sowings where ended_at is not null group by crop_key, mix is null)
    select json_build_object(
      'ended', coalesce(json_agg(json_build_object('crop_key', crop_key, 'mean', pace_mean, 'variance', pace_variance,
          'reliable_mean', reliable_mean, 'reliable_variance', reliable_variance, 'trays', paced) order by crop_key)
        filter (where alone and paced > 0), '[]'),
      'yields', coalesce(json_agg(json_build_object('crop_key', crop_key, 'mean', yield_mean, 'variance', yield_variance,
          'trays', weighed) order by crop_key) filter (where alone and weighed > 0), '[]'),
      'cues', json_build_array(${summed(tx, 1)}, ${summed(tx, 2)}, ${summed(tx, 4)}),
      'slips', json_build_array(coalesce(sum(answers) filter (where alone), 0)::int, coalesce(sum(contradicted) filter (where alone), 0)::int),
      'thirst', json_build_object('mean', round((sum(thirst_sum) / sum(thirst_weight))::numeric, 6),
        'variance', round((1 / sum(thirst_weight))::numeric, 7)))
    from by_crop) as taught,
  coalesce((select json_agg(json_build_array(id, case when mix is null then crop_key end, pace_mean, pace_variance,
      thirst_mean, thirst_variance, reliable_mean, reliable_variance, cues_told, cues_left,
      answers_given, answers_contradicted) order by id)
    from sowings where ended_at is null
      and (coalesce(pace_variance, thirst_variance, reliable_variance) is not null or cues_told + cues_left > 0)), '[]') as under_way`;

/** Several normal observations of one thing as one: mean and variance. */
const product = (tx: Tx, of: 'pace' | 'reliable' | 'yield') => {
  const [mean, variance] = [tx(`${of}_mean`), tx(`${of}_variance`)];
  return tx`round((sum(${mean} / ${variance}) / sum(1 / ${variance}))::numeric, 6) as ${mean},
    round((1 / sum(1 / ${variance}))::numeric, 7) as ${variance}`;
};

type Bit = 1 | 2 | 4;

/** In how many sowings a cue was told, or left. */
const counted = (tx: Tx, what: 'told' | 'left', bit: Bit) =>
  tx`count(*) filter (where ${tx(`cues_${what}`)} & ${bit} > 0) as ${tx(`${what}_${bit}`)}`;

const summed = (tx: Tx, bit: Bit) =>
  tx`json_build_array(coalesce(sum(${tx(`told_${bit}`)}) filter (where alone), 0)::int,
    coalesce(sum(${tx(`left_${bit}`)}) filter (where alone), 0)::int)`;

const gaussian = (mean: number | null, variance: number | null): Gaussian | null =>
  mean !== null && variance !== null ? { mean, variance } : null;

/** What trays taught of their crops' yields, from its row. */
const yieldsOf = ({ taught }: LearnedRow): YieldLearned =>
  taught.yields.map(({ crop_key, mean, variance, trays }) => ({
    cropKey: crop_key,
    message: { mean, variance },
    trays
  }));

/** What trays taught of their crops' pace, from its row. */
const learnedOf = ({ taught: { ended, cues, slips }, under_way }: LearnedRow): Learned => ({
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
const thirstOf = ({ taught: { thirst }, under_way }: LearnedRow): ThirstLearned => ({
  ended: thirst.mean === null ? null : { mean: thirst.mean, variance: thirst.variance },
  underWay: under_way.flatMap(([sowingId, , , , mean, variance]) =>
    mean !== null && variance !== null ? [{ sowingId, message: { mean, variance } }] : []
  )
});

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
